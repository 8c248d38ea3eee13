import { parseNumber } from '../../../foundation/quantities/index.ts';
import type { ControllerDefinition } from '../../definitions/index.ts';

/** A supply as it is typed: `120`, or `208-240`. */
export interface WrittenSupply {
  readonly volts: string;
  readonly kind: 'ac' | 'dc';
  readonly terminals: readonly [string, string];
}

/** A relay as it is typed; an empty text is not stated. */
export interface WrittenRelay {
  readonly drives: string;
  readonly common: string;
  readonly normallyOpen: string;
  readonly normallyClosed: string;
  readonly resistiveAmps: string;
  readonly motorFullLoadAmps: string;
  readonly motorLockedRotorAmps: string;
  readonly fedInside: 'yes' | 'no' | 'unknown';
}

/** A probe input with the sensor types it takes. */
export interface WrittenProbe {
  readonly role: string;
  readonly types: readonly string[];
  readonly terminals: readonly [string, string];
}

/** An input for a contact. */
export interface WrittenInput {
  readonly role: string;
  readonly terminals: readonly [string, string];
}

/** What a booklet says of the back of a control. Null: not stated; an empty list: it has none. */
export interface WrittenConnections {
  readonly supply: readonly WrittenSupply[] | null;
  readonly relays: readonly WrittenRelay[] | null;
  readonly probes: readonly WrittenProbe[] | null;
  readonly inputs: readonly WrittenInput[] | null;
  /** Width and height of the hole, mm, as typed; empty: not stated. */
  readonly cutOut: readonly [string, string];
  /** For sensors with a tag: the degrees that its slope and offset belong to. */
  readonly tagUnit: 'degC' | 'degF' | null;
}

export const noConnections: WrittenConnections = {
  supply: null,
  relays: null,
  probes: null,
  inputs: null,
  cutOut: ['', ''],
  tagUnit: null,
};

/** How a meter takes the two numbers of a tag (common practice; the booklet may say otherwise, then its note stands beside the code). */
const TAG_FORMULA = 'temperature = slope × signal + offset';

/** What was typed as part of a definition, and what cannot be taken as it stands, each with its place. What is not stated is left out. */
export function connectionsOf(written: WrittenConnections): {
  readonly parts: Pick<
    ControllerDefinition,
    'supply' | 'relays' | 'probes' | 'inputs' | 'cutOut' | 'sensorTag'
  >;
  readonly problems: readonly string[];
} {
  const problems: string[] = [];
  const amount = (text: string, where: string, unit: string): number | null => {
    if (text.trim() === '') return null;
    const value = parseNumber(text.replace(/\s*(A|amps?|mm)\.?$/i, ''));
    if (value !== null && value > 0) return value;
    problems.push(`${where}: expected ${unit} above 0, found “${text}”`);
    return null;
  };
  const supply = written.supply?.map((entry, i) => ({
    volts: voltsOf(entry.volts, `Supply ${i + 1}`, problems),
    kind: entry.kind,
    terminals: bothOf(entry.terminals, [`supply ${i + 1} a`, `supply ${i + 1} b`]),
  }));
  const relays = written.relays?.map((relay, i) => {
    const where = `Relay ${i + 1}`;
    const ratings = Object.fromEntries(
      (['resistiveAmps', 'motorFullLoadAmps', 'motorLockedRotorAmps'] as const).flatMap((name) => {
        const amps = amount(relay[name], where, 'amps');
        return amps === null ? [] : [[name, amps]];
      }),
    );
    const closed = relay.normallyClosed.trim();
    return {
      id: `K${i + 1}`,
      drives: relay.drives,
      terminals: {
        common: relay.common.trim() || `K${i + 1} common`,
        normallyOpen: relay.normallyOpen.trim() || `K${i + 1} open`,
        ...(closed !== '' && { normallyClosed: closed }),
      },
      ...(Object.keys(ratings).length > 0 && { ratings }),
      commonFedInternally: relay.fedInside === 'unknown' ? ('unknown' as const) : relay.fedInside === 'yes',
    };
  });
  const probes = written.probes?.map((probe, i) => ({
    id: `P${i + 1}`,
    role: probe.role,
    types: probe.types,
    terminals: bothOf(probe.terminals, [`P${i + 1} a`, `P${i + 1} b`]),
  }));
  const inputs = written.inputs?.map((input, i) => ({
    id: `D${i + 1}`,
    roles: [input.role],
    terminals: bothOf(input.terminals, [`D${i + 1} a`, `D${i + 1} b`]),
  }));
  const [width, height] = written.cutOut.map((side) => amount(side, 'The hole in the panel', 'millimetres'));
  if ((width === null) !== (height === null) && problems.length === 0)
    problems.push('The hole in the panel: expected its width and its height');
  return {
    parts: {
      ...(supply && { supply }),
      ...(relays && { relays }),
      ...(probes && { probes }),
      ...(inputs && { inputs }),
      ...(written.tagUnit && { sensorTag: { formula: TAG_FORMULA, signalUnit: written.tagUnit } }),
      ...(width && height && { cutOut: { widthMm: width, heightMm: height } }),
    },
    problems,
  };
}

/** A terminal without a name gets one by which it can be found on the drawing. */
const bothOf = (typed: readonly [string, string], otherwise: readonly [string, string]) =>
  typed.map((name, i) => name.trim() || otherwise[i]!);

function voltsOf(text: string, where: string, problems: string[]): number | readonly number[] {
  const parts = text
    .replace(/\s*(V|volts?)\.?\s*(AC|DC)?$/i, '')
    .split(/\s*(?:-|–|to|\/)\s*/)
    .map(parseNumber);
  if (parts.length >= 1 && parts.length <= 2 && parts.every((v) => v !== null && v > 0))
    return parts.length === 1 ? parts[0]! : (parts as number[]);
  problems.push(`${where}: expected volts, such as 120 or 208 to 240, found “${text}”`);
  return 0;
}
