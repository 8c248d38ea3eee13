import { findQuestion, isTrade, type EntryBody, type MeasureId } from '@brine/core/record/entries';
import { doubtWords } from '@brine/core/wiring/unsure';
import { meterUnitOf } from '@brine/core/wiring/readings';
import { nameOf } from '@brine/core/wiring/circuit';
import { isQuantity, printQuantity } from '@brine/core/foundation/quantities';
import { isSettingId, printValue, settingOf } from '@brine/core/foundation/settings';
import { parameterOf } from '@brine/core/controllers/definitions';
import { describeProving, provingSubject } from './describeProving.ts';
import { describeTrade, tradeSubject } from './describeTrade.ts';
import type { OpenJob } from './useJob.ts';

/** What an entry says, in a few words. */
export function describeBody(body: EntryBody): string {
  if (isTrade(body)) return describeTrade(body);
  switch (body.kind) {
    case 'control':
      return body.definition?.family ?? 'none';
    case 'found':
      return body.value ?? 'taken off';
    case 'answer': {
      if (body.value === null) return 'no answer';
      const form = findQuestion(body.question)?.form;
      const words = (id: unknown) =>
        (form && 'options' in form ? form.options[String(id)] : undefined) ?? String(id);
      if (isQuantity(body.value)) return printQuantity(body.value);
      if (typeof body.value === 'boolean') return body.value ? 'yes' : 'no';
      return Array.isArray(body.value) ? body.value.map(words).join(', ') : words(body.value);
    }
    case 'planned':
      return body.value === null
        ? 'as planned'
        : isSettingId(body.setting)
          ? printValue(settingOf(body.setting), body.value)
          : String(body.value);
    case 'plannedCode':
      return body.value === null ? 'as planned' : String(body.value);
    case 'keyed':
      return body.state === 'showsElse'
        ? `shows ${body.shown}`
        : body.state === 'skipped'
          ? 'skipped'
          : body.state === 'keyed'
            ? `keyed ${body.value}`
            : 'open';
    case 'note':
      return body.text;
    case 'sheet':
      return `sheet, ${body.sheet}`;
    case 'handedOver':
      return `handed to ${body.to || 'the site'}`;
    case 'unitLoad':
      return body.load
        ? [body.load.role, body.load.watts && `${body.load.watts} W`, body.load.amps && `${body.load.amps} A`]
            .filter(Boolean)
            .join(', ')
        : 'taken off';
    case 'mechanical':
      return [
        body.cutIn && `cut-in ${printQuantity(body.cutIn)}`,
        body.cutOut && `cut-out ${printQuantity(body.cutOut)}`,
      ]
        .filter(Boolean)
        .join(', ');
    case 'startedFrom':
      return body.conversion ?? 'nothing';
    case 'foundSupply':
      return body.supply ? `${body.supply.volts} V` : 'taken off';
    case 'foundPart':
      return body.part ? nameOf(body.part) : 'taken off';
    case 'foundWire':
      return body.wire
        ? [`${body.wire.from} to ${body.wire.to}`, body.wire.colour].filter(Boolean).join(', ')
        : 'taken off';
    case 'doubt':
      return body.fact ? doubtWords(body.fact) : 'settled';
    case 'measure':
      return body.value === null ? 'not known' : String(body.value);
    case 'power':
      return body.state === 'lockedOut' ? 'locked out, proven dead' : 'energised again';
    case 'reading':
      return body.value === null ? 'taken off' : `${body.value} ${unitWords[meterUnitOf(body.place)]}`;
    case 'wired':
      return body.done ? 'done' : 'open';
    case 'planWire':
      return [body.colour, body.gauge].filter(Boolean).join(', ') || 'as planned';
    case 'picture':
      return body.gone ? 'taken off' : body.caption || 'no caption';
    default:
      return describeProving(body);
  }
}

/** An entry without its job at hand: what it is about and what it says, “Found Cp: 300”. */
export function describeEntry(body: EntryBody): string {
  const about = subject(body);
  return `${about}${about.endsWith('?') ? '' : ':'} ${describeBody(body)}`;
}

function subject(body: EntryBody): string {
  if (isTrade(body)) return tradeSubject(body);
  switch (body.kind) {
    case 'control':
      return body.role === 'old' ? 'The old control' : 'The new control';
    case 'found':
      return `Found ${body.code}`;
    case 'answer':
      return findQuestion(body.question)?.label ?? body.question;
    case 'planned':
      return `Planned ${isSettingId(body.setting) ? settingOf(body.setting).label : body.setting}`;
    case 'plannedCode':
      return `Planned ${body.code}`;
    case 'keyed':
      return `At the cabinet, ${body.code}`;
    case 'note':
      return 'Note';
    case 'sheet':
      return 'Kept';
    case 'handedOver':
      return 'Handed over';
    case 'unitLoad':
      return 'Load of the plate';
    case 'mechanical':
      return 'Mechanical control';
    case 'startedFrom':
      return 'Traced from';
    case 'foundSupply':
      return `Found, supply ${body.id}`;
    case 'foundPart':
      return `Found, part ${body.id}`;
    case 'foundWire':
      return 'Found, wire';
    case 'doubt':
      return 'Not sure';
    case 'measure':
      return `Measured, ${measureWords[body.measure]}`;
    case 'power':
      return 'The cabinet';
    case 'reading':
      return `Read in ${body.place.state}, ${'through' in body.place ? body.place.through : `${body.place.from} to ${body.place.to}`}`;
    case 'wired':
    case 'planWire':
      return `Wire ${body.wire}`;
    case 'picture':
      return 'Picture';
    default:
      return provingSubject(body);
  }
}

const unitWords = { V: 'V', A: 'A', ohm: 'Ω' } as const;

/** What is measured for the kit list, in words. */
export const measureWords: Readonly<Record<MeasureId, string>> = {
  probeMetres: 'way of the probe cable, m',
  wireMetres: 'way of a wire in the cabinet, m',
  pipeMm: 'pipe the probe is clamped to, mm',
  holeWidthMm: 'hole that is there, width in mm',
  holeHeightMm: 'hole that is there, height in mm',
  inWater: 'probe in water',
};

/** What a register holds, in words: “Found: hY, Width below it”. */
export function describeRegister(register: string, job: OpenJob): string {
  const at = register.indexOf(':');
  const [kind, id] = at < 0 ? [register, ''] : [register.slice(0, at), register.slice(at + 1)];
  const named = (definition: typeof job.old.value) =>
    [id, definition && parameterOf(definition, id)?.name].filter(Boolean).join(', ');
  switch (kind) {
    case 'found':
      return `Found: ${named(job.old.value)}`;
    case 'keyed':
      return `At the cabinet: ${named(job.replacement.value)}`;
    case 'plannedCode':
      return `Planned: ${named(job.replacement.value)}`;
    case 'planned':
      return `Planned: ${isSettingId(id) ? settingOf(id).label : id}`;
    case 'answer':
      return findQuestion(id)?.label ?? id;
    case 'control':
      return id === 'old' ? 'The old control' : 'The new control';
    case 'handedOver':
      return 'Handed over';
    case 'reading':
      return `Read: ${id.split(/[:|]/).slice(1).join(', ')}`;
    case 'measure':
      return `Measured: ${measureWords[id as MeasureId] ?? id}`;
    default:
      return [registerWords[kind] ?? kind, id].filter(Boolean).join(', ');
  }
}

/** Registers of the stations Fit and Wire, in words. */
const registerWords: Readonly<Record<string, string>> = {
  unitLoad: 'Load of the plate',
  startedFrom: 'Traced from',
  mechanical: 'Mechanical control',
  foundSupply: 'Found, supply',
  foundPart: 'Found, part',
  foundWire: 'Found, wire',
  doubt: 'Not sure',
  picture: 'Picture',
  power: 'The cabinet',
  wired: 'Wire',
  planWire: 'Wire',
};
