import { fileProblem, readHeader, type FileProblem } from '../../foundation/files/index.ts';
import { partOfEnd, terminalsOf, type Circuit, type Part, type PartKind } from './circuit.ts';

type Fields = Readonly<Record<string, unknown>>;
type Judge = (path: string, part: Fields) => FileProblem | null;

/** Most parts and wires a file may hold; the solver is meant for one cabinet, not for a building. */
const MOST = 500;

/**
 * Reads a parsed `*.circuit.json`: the circuit, or the first thing that does not fit, in a sentence with its JSON path. Refused are
 * unknown kinds, two parts of one name, a part with too few ends, a wire to a terminal that is not there, AC and DC together.
 */
export function readCircuit(data: unknown): Circuit | FileProblem {
  const header = readHeader(data, 'brine-dial/circuit', 1);
  if ('problem' in header) return header;
  const file = header.data;
  const problem =
    list('supplies', file['supplies'], 1) ??
    list('parts', file['parts'], 0) ??
    list('wires', file['wires'], 0) ??
    suppliesProblem(file['supplies'] as Fields[]) ??
    partsProblem(file['parts'] as Fields[], file['supplies'] as Fields[]) ??
    ownersProblem(file['parts'] as Fields[]) ??
    statesProblem(file['states']);
  if (problem) return problem;
  const circuit = file as unknown as Circuit;
  return wiresProblem(circuit) ?? circuit;
}

/** Every point a wire may end on, in file order: supply ids, then `part.terminal`. */
export function endsOf(circuit: Pick<Circuit, 'supplies' | 'parts'>): readonly string[] {
  return [
    ...circuit.supplies.map((s) => s.id),
    ...circuit.parts.flatMap((part) => terminalsOf(part).map((t) => `${part.id}.${t}`)),
  ];
}

function suppliesProblem(supplies: readonly Fields[]): FileProblem | null {
  const ids = new Set<string>();
  let ac = false;
  let dc = false;
  for (const [i, supply] of supplies.entries()) {
    const path = `supplies[${i}]`;
    const wrong = object(path, supply) ?? supplyFieldsProblem(path, supply, ids);
    if (wrong) return wrong;
    if (supply['kind'] === 'dc') dc = true;
    else if (supply['volts'] !== 0) ac = true;
  }
  return ac && dc
    ? fileProblem(
        'supplies',
        'AC and DC supplies in one circuit are not computed in version 1; expected one kind',
      )
    : null;
}

function supplyFieldsProblem(path: string, supply: Fields, ids: Set<string>): FileProblem | null {
  return (
    name(`${path}.id`, supply['id'], ids) ??
    finite(`${path}.volts`, supply['volts']) ??
    (supply['degrees'] === undefined ? null : finite(`${path}.degrees`, supply['degrees'])) ??
    (supply['kind'] === undefined || supply['kind'] === 'ac' || supply['kind'] === 'dc'
      ? null
      : fileProblem(`${path}.kind`, `expected "ac" or "dc", found ${show(supply['kind'])}`))
  );
}

const positive =
  (...fields: readonly string[]): Judge =>
  (path, part) => {
    for (const field of fields) {
      const value = part[field];
      if (typeof value !== 'number' || !Number.isFinite(value) || value <= 0)
        return fileProblem(`${path}.${field}`, `expected a number above 0, found ${show(value)}`);
    }
    return null;
  };

const ends =
  (field: string, least: number, most: number): Judge =>
  (path, part) =>
    terminalNames(`${path}.${field}`, part[field], least, most);

const judges: ReadonlyMap<PartKind, readonly Judge[]> = new Map<PartKind, readonly Judge[]>([
  ['fuse', [ends('terminals', 2, 2), positive('amps')]],
  ['switch', [ends('terminals', 2, 2), words('closedIn')]],
  [
    'contact',
    [
      ends('terminals', 2, 3),
      (path, part) => text(`${path}.drivenBy`, part['drivenBy']),
      (path, part) => (part['ratings'] === undefined ? null : object(`${path}.ratings`, part['ratings'])),
    ],
  ],
  [
    'load',
    [
      ends('terminals', 2, 3),
      positive('watts', 'ratedVolts'),
      (path, part) => text(`${path}.role`, part['role']),
      (path, part) => (part['amps'] === undefined ? null : positive('amps')(path, part)),
      perhaps('output'),
    ],
  ],
  [
    'contactor',
    [
      ends('coil', 2, 2),
      positive('coilOhms', 'coilVolts'),
      poles('poles', 1),
      poles('breaks', 0),
      perhaps('output'),
    ],
  ],
  ['control', [ends('terminals', 2, 12), positive('ohms', 'ratedVolts'), words('owns')]],
  ['probe', [ends('terminals', 2, 2), positive('ohms'), perhaps('role')]],
  [
    'transformer',
    [ends('primary', 2, 2), ends('secondary', 2, 2), positive('ratedVolts', 'secondaryVolts', 'va')],
  ],
  ['junction', [ends('terminals', 1, 24)]],
]);

function partsProblem(parts: readonly Fields[], supplies: readonly Fields[]): FileProblem | null {
  const ids = new Set(supplies.map((s) => s['id'] as string));
  for (const [i, part] of parts.entries()) {
    const path = `parts[${i}]`;
    const early = object(path, part) ?? name(`${path}.id`, part['id'], ids);
    if (early) return early;
    const wrong = partFieldsProblem(path, part);
    if (wrong) return wrong;
  }
  return null;
}

/** What its kind asks of a part: its fields, its terminals each with a name of its own. */
function partFieldsProblem(path: string, part: Fields): FileProblem | null {
  const judge = judges.get(part['kind'] as PartKind);
  if (!judge)
    return fileProblem(
      `${path}.kind`,
      `expected one of ${[...judges.keys()].join(', ')}, found ${show(part['kind'])}`,
    );
  for (const rule of judge) {
    const wrong = rule(path, part);
    if (wrong) return wrong;
  }
  const terminals = terminalsOf(part as unknown as Part);
  const twice = terminals.find((t, at) => terminals.indexOf(t) !== at);
  return twice === undefined
    ? null
    : fileProblem(
        path,
        `${part['id'] as string} has two terminals called ${show(twice)}; expected names of their own`,
      );
}

/** What is wrong with one part by itself, as it is traced; null where nothing is. */
export function partProblem(part: unknown): FileProblem | null {
  return (
    object('part', part) ??
    name('part.id', (part as Fields)['id'], new Set()) ??
    partFieldsProblem('part', part as Fields)
  );
}

/** What is wrong with one supply conductor by itself. */
export function supplyProblem(supply: unknown): FileProblem | null {
  return object('supply', supply) ?? supplyFieldsProblem('supply', supply as Fields, new Set());
}

/** What is wrong with one wire by itself; whether its ends are there shows in the circuit. */
export function wireProblem(wire: unknown): FileProblem | null {
  const early = object('wire', wire);
  if (early) return early;
  const { from, to } = wire as Fields;
  return (
    text('wire.from', from) ??
    text('wire.to', to) ??
    (from === to
      ? fileProblem('wire', `it begins and ends on ${from as string}; expected two different terminals`)
      : null)
  );
}

function ownersProblem(parts: readonly Fields[]): FileProblem | null {
  for (const [i, part] of parts.entries()) {
    if (part['kind'] !== 'control') continue;
    for (const owned of part['owns'] as readonly string[])
      if (!parts.some((p) => p['id'] === owned && p['kind'] === 'contact'))
        return fileProblem(`parts[${i}].owns`, `${show(owned)} is no contact of this circuit`);
  }
  return null;
}

function statesProblem(states: unknown): FileProblem | null {
  const expected =
    'expected an object from states to lists of outputs, such as {"off": [], "cooling": ["compressor"]}';
  if (
    typeof states !== 'object' ||
    states === null ||
    Array.isArray(states) ||
    Object.keys(states).length === 0
  )
    return fileProblem('states', expected);
  for (const [state, outputs] of Object.entries(states))
    if (!Array.isArray(outputs) || outputs.some((o) => typeof o !== 'string'))
      return fileProblem(`states.${state}`, 'expected a list of outputs such as ["compressor", "fan"]');
  return null;
}

function wiresProblem(circuit: Circuit): FileProblem | null {
  const known = new Set(endsOf(circuit));
  for (const [i, wire] of circuit.wires.entries()) {
    const path = `wires[${i}]`;
    const early = object(path, wire);
    if (early) return early;
    for (const end of ['from', 'to'] as const) {
      const at = wire[end];
      if (typeof at === 'string' && known.has(at)) continue;
      return fileProblem(`${path}.${end}`, `${show(at)} is nowhere in this circuit; ${hint(circuit, at)}`);
    }
    if (wire.from === wire.to)
      return fileProblem(path, `the wire begins and ends on ${wire.from}; expected two different terminals`);
  }
  return null;
}

function hint(circuit: Circuit, at: unknown): string {
  const part = typeof at === 'string' ? partOfEnd(circuit, at) : undefined;
  return part
    ? `${part.id} has ${terminalsOf(part).join(', ')}`
    : `expected a supply (${circuit.supplies.map((s) => s.id).join(', ')}) or part.terminal`;
}

/** A word, where it is there at all. */
function perhaps(field: string): Judge {
  return (path, part) => (part[field] === undefined ? null : text(`${path}.${field}`, part[field]));
}

function words(field: string): Judge {
  return (path, part) => {
    const value = part[field];
    return Array.isArray(value) && value.every((v) => typeof v === 'string')
      ? null
      : fileProblem(`${path}.${field}`, `expected a list of words, found ${show(value)}`);
  };
}

function poles(field: string, least: number): Judge {
  return (path, part) => {
    const value = part[field];
    if (value === undefined && least === 0) return null;
    if (!Array.isArray(value) || value.length < least)
      return fileProblem(`${path}.${field}`, 'expected a list of pairs such as [["1","2"],["3","4"]]');
    for (const [i, pole] of (value as unknown[]).entries()) {
      const wrong = terminalNames(`${path}.${field}[${i}]`, pole, 2, 2);
      if (wrong) return wrong;
    }
    return null;
  };
}

function terminalNames(path: string, value: unknown, least: number, most: number): FileProblem | null {
  const count = least === most ? `${least}` : `${least} to ${most}`;
  if (
    !Array.isArray(value) ||
    value.length < least ||
    value.length > most ||
    value.some((t) => typeof t !== 'string' || t === '')
  )
    return fileProblem(path, `expected ${count} terminal names, found ${show(value)}`);
  return null;
}

function list(field: string, value: unknown, least: number): FileProblem | null {
  if (!Array.isArray(value) || value.length < least)
    return fileProblem(
      field,
      `expected a list${least > 0 ? ` of at least ${least}` : ''}, found ${show(value)}`,
    );
  return value.length > MOST ? fileProblem(field, `${value.length} entries; expected at most ${MOST}`) : null;
}

function object(path: string, value: unknown): FileProblem | null {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
    ? null
    : fileProblem(path, `expected an object, found ${show(value)}`);
}

function text(path: string, value: unknown): FileProblem | null {
  return typeof value === 'string' && value !== ''
    ? null
    : fileProblem(path, `expected a word, found ${show(value)}`);
}

function name(path: string, value: unknown, taken: Set<string>): FileProblem | null {
  const wrong = text(path, value);
  if (wrong) return wrong;
  if (taken.has(value as string))
    return fileProblem(path, `${show(value)} is there twice; expected a name of its own`);
  taken.add(value as string);
  return null;
}

function finite(path: string, value: unknown): FileProblem | null {
  return typeof value === 'number' && Number.isFinite(value)
    ? null
    : fileProblem(path, `expected a number, found ${show(value)}`);
}

function show(value: unknown): string {
  const json = (JSON.stringify(value) as string | undefined) ?? 'nothing';
  return json.length > 60 ? `${json.slice(0, 57)}…` : json;
}
