import {
  baseValue,
  convert,
  isQuantity,
  printNumber,
  printQuantity,
  sameQuantity,
  type Unit,
} from '../../foundation/quantities/index.ts';
import {
  dictionary,
  isQuiet,
  printValue,
  sameValue,
  settingOf,
  type SettingId,
  type SettingValue,
  type SettingValues,
} from '../../foundation/settings/index.ts';
import {
  isCombined,
  settingsOf,
  type ChoiceEncoding,
  type ChoiceOption,
  type CodeValue,
  type ControllerDefinition,
  type NumberEncoding,
  type Parameter,
  type SettingPart,
} from '../definitions/index.ts';
import { meaningOfOption } from '../definitions/index.ts';
import { displayOf, isVisible, type DisplayState } from '../definitions/index.ts';
import { encodeNumber, printScale, scaleOf } from '../definitions/index.ts';
import { keepAlarmLimits, limitsInForce } from './alarmLimits.ts';
import { keepDefrostCount } from './defrostCount.ts';
import { untouched, type Meaning } from './meaning.ts';
import { keepBand } from './placement.ts';
import { dangerFirst } from './danger.ts';

/** How faithful a row is, weakest last: clamped, recomputed to mean the same, rounded, exact; or the target's own default or fixed way. */
export type RowStatus = 'clamped' | 'meaning' | 'rounded' | 'exact' | 'default' | 'fixed';

export interface TranslatedRow {
  /** Null for fixed behaviour, which no key changes. */
  readonly code: string | null;
  readonly value: CodeValue | SettingValue;
  readonly setting: SettingId | readonly SettingId[] | null;
  readonly status: RowStatus;
  readonly note: string;
}

export interface LostSetting {
  readonly setting: SettingId;
  readonly reason: string;
}

/** A meaning written in a control's own codes, units and resolution. */
export interface Encoded {
  readonly rows: readonly TranslatedRow[];
  /** One row a parameter in file order, those hidden by the values chosen as well: what each would be set to. */
  readonly all: readonly TranslatedRow[];
  readonly lost: readonly LostSetting[];
  readonly display: DisplayState;
}

/** What one parameter makes of the meaning. */
interface Written {
  readonly value: CodeValue;
  readonly status: Exclude<RowStatus, 'fixed'>;
  readonly notes: readonly string[];
  readonly held: readonly SettingId[];
  readonly lost: ReadonlyMap<SettingId, string>;
}

/**
 * Writes settings in a control's own codes: one row a parameter in file order (those hidden by the values chosen left out), then one a
 * `fixed` entry. Band placement, alarm reference and defrost count are recomputed so that the unit behaves the same.
 */
export function encode(source: SettingValues, target: ControllerDefinition): Encoded {
  const inForce = limitsInForce(source);
  const display = targetDisplay(inForce, target);
  const banded = keepBand(untouched(inForce), target);
  const meaning = keepDefrostCount(keepAlarmLimits(banded, inForce, target, display), target);
  const written = target.parameters
    .filter((p) => p.encoding.type !== 'reading')
    .map((parameter) => ({ parameter, ...write(parameter, meaning, display, target) }));
  const standing = new Map(written.map(({ parameter, value }) => [parameter.code, value]));
  const all = written.map(({ parameter, value, status, notes }) => ({
    code: parameter.code,
    value,
    setting: settingField(parameter),
    status,
    note: notes.join('; '),
  }));
  const rows = all.filter((_, i) => isVisible(target, written[i]!.parameter, standing));
  return {
    rows: [...rows, ...fixedRows(target)],
    all,
    lost: lostSettings(inForce, meaning, written, target),
    display,
  };
}

/** Unit and tenths follow the source where the target can choose and the source says; else the target's own. */
function targetDisplay(values: SettingValues, target: ControllerDefinition): DisplayState {
  const chosen = new Map<string, CodeValue>();
  for (const parameter of target.parameters) {
    if (parameter.setting !== 'display.unit' && parameter.setting !== 'display.decimal') continue;
    if (parameter.encoding.type !== 'choice') continue;
    const option = optionFor(parameter.encoding, parameter, values[parameter.setting]);
    if (option) chosen.set(parameter.code, option.value);
  }
  return displayOf(target, chosen);
}

function write(
  parameter: Parameter,
  meaning: Meaning,
  display: DisplayState,
  target: ControllerDefinition,
): Written {
  const { encoding } = parameter;
  if (encoding.type === 'number') return writeNumber(parameter, encoding, meaning, display);
  if (encoding.type === 'choice') return writeChoice(parameter, encoding, meaning, target);
  return byDefault((encoding as { default: CodeValue }).default, 'the factory preset stands');
}

function writeNumber(
  parameter: Parameter,
  encoding: NumberEncoding,
  meaning: Meaning,
  display: DisplayState,
): Written {
  const scale = scaleOf(encoding, display);
  const parts = partsOf(parameter).filter((part) => meaning.values[part.id] !== undefined);
  const lead = parts[0];
  if (!lead) return byDefault(scale.default, 'nothing to say; the default of this control');
  const code = encodeNumber(signed(meaning.values[lead.id]!, lead), encoding, display);
  if (!code)
    return byDefault(
      scale.default,
      'the value does not fit this code',
      new Map([[lead.id, 'its unit does not fit this control']]),
    );
  const notes = [
    ...(code.clamped
      ? [`${wish(meaning, lead.id)} is out of reach; this control goes from ${printScale(scale)}`]
      : []),
    ...recomputedNotes(meaning, [lead.id]),
    ...(code.rounded && !code.clamped
      ? [
          `${wish(meaning, lead.id)}${inUnit(meaning.values[lead.id]!, scale.unit)} rounded to steps of ${printNumber(scale.resolution, 4)}`,
        ]
      : []),
  ];
  const disagreeing = parts.slice(1).filter((part) => {
    const other = encodeNumber(signed(meaning.values[part.id]!, part), encoding, display);
    return !other || other.value !== code.value;
  });
  if (disagreeing.length > 0) notes.push('one number stands for several settings here');
  const differs = disagreeing.length > 0 || meaning.recomputed.has(lead.id);
  return {
    value: code.value,
    status: code.clamped ? 'clamped' : differs ? 'meaning' : code.rounded ? 'rounded' : 'exact',
    notes,
    held: parts.map((part) => part.id),
    lost: new Map(
      disagreeing.map((part) => [part.id, `${parameter.code} holds one number for several settings`]),
    ),
  };
}

function writeChoice(
  parameter: Parameter,
  encoding: ChoiceEncoding,
  meaning: Meaning,
  target: ControllerDefinition,
): Written {
  const ids = settingsOf(parameter);
  const said = ids.filter((id) => meaning.values[id] !== undefined);
  if (said.length === 0)
    return byDefault(
      encoding.default,
      ids.length > 0 ? 'nothing to say; the default of this control' : 'no common meaning; its default',
    );
  if (encoding.options.some((o) => isCombined(o.means)))
    return writeCombined(parameter, encoding, meaning, said);
  const id = said[0]!;
  const option = optionFor(encoding, parameter, meaning.values[id]);
  if (!option) {
    const choice = printValue(settingOf(id), meaning.values[id]!);
    return byDefault(
      encoding.default,
      `${target.family} has no choice for: ${choice}`,
      new Map([[id, `this control has no choice for: ${choice}`]]),
    );
  }
  const exact = sameValue(option.means as SettingValue, meaning.values[id]);
  const recomputed = meaning.recomputed.has(id);
  const notes = [
    ...recomputedNotes(meaning, [id]),
    ...(exact ? [] : [`nearest choice to ${wish(meaning, id)}`]),
  ];
  return {
    value: option.value,
    status: recomputed ? 'meaning' : exact ? 'exact' : 'rounded',
    notes,
    held: [id],
    lost: new Map(),
  };
}

/** The option most of whose meanings agree; on a tie the one that contradicts least, then the first. None agreeing: the default. */
function writeCombined(
  parameter: Parameter,
  encoding: ChoiceEncoding,
  meaning: Meaning,
  said: readonly SettingId[],
): Written {
  const scored = encoding.options.map((option) => {
    const means = meaningOfOption(parameter, option);
    const stated = said.filter((id) => means[id] !== undefined);
    const agreeing = stated.filter((id) => sameValue(means[id], meaning.values[id]));
    return { option, stated, agreeing, against: stated.length - agreeing.length };
  });
  const best = scored.reduce((a, b) =>
    b.agreeing.length > a.agreeing.length ||
    (b.agreeing.length === a.agreeing.length && b.against < a.against)
      ? b
      : a,
  );
  const reason = (id: SettingId) => `${parameter.code} has no option that also means ${wish(meaning, id)}`;
  if (best.agreeing.length === 0)
    return byDefault(
      encoding.default,
      'no option of this control means this',
      new Map(said.map((id) => [id, reason(id)])),
    );
  const against = best.stated.filter((id) => !best.agreeing.includes(id));
  const differs = against.length > 0 || best.agreeing.some((id) => meaning.recomputed.has(id));
  const notes = [
    ...recomputedNotes(meaning, best.agreeing),
    ...against.map(
      (id) => `${settingOf(id).label}: not ${printValue(settingOf(id), meaning.values[id]!)} here`,
    ),
  ];
  return {
    value: best.option.value,
    status: differs ? 'meaning' : 'exact',
    notes,
    held: best.agreeing,
    lost: new Map(against.map((id) => [id, reason(id)])),
  };
}

/** The option that means a value; for amounts, the nearest one. */
function optionFor(
  encoding: ChoiceEncoding,
  parameter: Parameter,
  value: SettingValue | undefined,
): ChoiceOption | undefined {
  if (value === undefined) return undefined;
  const id = settingsOf(parameter)[0];
  const exact = encoding.options.find(
    (o) => id !== undefined && sameValue(meaningOfOption(parameter, o)[id], value),
  );
  if (exact || !isQuantity(value)) return exact;
  const amounts = encoding.options.filter((o) => isQuantity(o.means));
  return amounts.length === 0
    ? undefined
    : amounts.reduce((a, b) => (gap(b.means, value) < gap(a.means, value) - 1e-9 ? b : a));
}

function gap(means: unknown, value: SettingValue): number {
  return isQuantity(means) && isQuantity(value) && !sameQuantity(means, value)
    ? Math.abs(baseValue(means) - baseValue(value))
    : 0;
}

/** “ = 1.11 K” where a quantity is shown in another unit than it was said in. */
function inUnit(value: SettingValue, unit: Unit | null): string {
  return unit !== null && isQuantity(value) && value.unit !== unit
    ? ` = ${printQuantity(convert(value, unit))}`
    : '';
}

function fixedRows(target: ControllerDefinition): readonly TranslatedRow[] {
  return (Object.entries(target.fixed ?? {}) as [SettingId, SettingValue][]).map(([setting, value]) => ({
    code: null,
    value,
    setting,
    status: 'fixed',
    note: 'built into this control; no key changes it',
  }));
}

/** Every setting of the source that the target neither holds, converts nor has fixed alike, unless it is the quiet choice. */
function lostSettings(
  inForce: SettingValues,
  meaning: Meaning,
  written: readonly (Written & { readonly parameter: Parameter })[],
  target: ControllerDefinition,
): readonly LostSetting[] {
  const held = new Set(written.flatMap((w) => w.held));
  const refused = new Map([...meaning.lost, ...written.flatMap((w) => [...w.lost])]);
  for (const id of held)
    if (!written.every((w) => w.lost.has(id) || !w.held.includes(id))) refused.delete(id);
  const reasons = dictionary.flatMap(({ id }): LostSetting[] => {
    const value = inForce[id];
    if (value === undefined) return [];
    const refusedWhy = refused.get(id);
    if (refusedWhy !== undefined) return [{ setting: id, reason: refusedWhy }];
    if (held.has(id) || meaning.converted.has(id)) return [];
    const fixed = target.fixed?.[id];
    if (fixed !== undefined)
      return sameValue(fixed, value)
        ? []
        : [{ setting: id, reason: `built in as ${printValue(settingOf(id), fixed)} and not to be changed` }];
    if (isQuiet(id, value)) return [];
    return [
      {
        setting: id,
        reason: `${target.family} has no setting for it (${printValue(settingOf(id), value)})`,
      },
    ];
  });
  return dangerFirst(reasons);
}

function byDefault(
  value: CodeValue,
  note: string,
  lost: ReadonlyMap<SettingId, string> = new Map(),
): Written {
  return { value, status: 'default', notes: [note], held: [], lost };
}

function partsOf(parameter: Parameter): readonly SettingPart[] {
  if (parameter.setting === undefined) return [];
  return typeof parameter.setting === 'string' ? [{ id: parameter.setting }] : parameter.setting;
}

function signed(value: SettingValue, part: SettingPart): never | Parameters<typeof encodeNumber>[0] {
  // Widths about the set point are positive on both sides; only true offsets carry their sign.
  const sign = part.id === 'alarms.lowOffset' || part.id === 'alarms.highOffset' ? 1 : (part.sign ?? 1);
  if (isQuantity(value)) return { value: value.value * sign, unit: value.unit };
  return typeof value === 'number' ? value * sign : Number.NaN;
}

function settingField(parameter: Parameter): TranslatedRow['setting'] {
  if (typeof parameter.setting === 'string') return parameter.setting;
  const ids = settingsOf(parameter);
  return ids.length === 0 ? null : ids;
}

function recomputedNotes(meaning: Meaning, ids: readonly SettingId[]): readonly string[] {
  return ids.flatMap((id) => meaning.recomputed.get(id) ?? meaning.remarks.get(id) ?? []);
}

function wish(meaning: Meaning, id: SettingId): string {
  const value = meaning.values[id]!;
  return isQuantity(value) ? printQuantity(value) : printValue(settingOf(id), value);
}
