import { endWords } from '../circuit/index.ts';
import { contactEnds, wireIds, type Circuit, type ContactPart } from '../circuit/index.ts';

/** What nobody knows yet about a circuit as found. Each has a few ways it may be. */
export type DoubtFact =
  /** Which of two wires is the neutral: they may be the other way round at the supply. */
  | { readonly kind: 'neutral'; readonly wires: readonly [string, string] }
  /** Which leg of a 240 V delta is high. */
  | { readonly kind: 'highLeg'; readonly supplies: readonly string[] }
  /** Whether a relay's common hangs on the control's hot inside. */
  | { readonly kind: 'commonFed'; readonly control: string; readonly contact: string }
  /** On which of several terminals a wire ends. */
  | {
      readonly kind: 'endsOn';
      readonly wire: string;
      readonly end: 'from' | 'to';
      readonly among: readonly string[];
    };

/** What is wrong with a doubt that somebody wrote down, in a sentence; null where nothing is. */
export function doubtProblem(fact: unknown): string | null {
  if (typeof fact !== 'object' || fact === null || Array.isArray(fact)) return 'expected a doubt';
  const f = fact as Readonly<Record<string, unknown>>;
  const word = (field: string) =>
    typeof f[field] === 'string' && f[field] !== '' ? null : `${field}: expected a name`;
  const words = (field: string, least: number, most: number) => {
    const list = f[field];
    return Array.isArray(list) &&
      list.length >= least &&
      list.length <= most &&
      list.every((item) => typeof item === 'string' && item !== '')
      ? null
      : `${field}: expected ${least === most ? least : `${least} to ${most}`} names`;
  };
  switch (f['kind']) {
    case 'neutral':
      return words('wires', 2, 2);
    case 'highLeg':
      return words('supplies', 1, MAX_NAMES);
    case 'commonFed':
      return word('control') ?? word('contact');
    case 'endsOn':
      return (
        word('wire') ??
        (f['end'] === 'from' || f['end'] === 'to' ? null : 'end: expected from or to') ??
        words('among', 2, MAX_NAMES)
      );
    default:
      return 'kind: expected one of neutral, highLeg, commonFed, endsOn';
  }
}

/** More ends or supplies than one doubt is about. */
const MAX_NAMES = 24;

/** One way a doubt may turn out, in words. */
export interface DoubtOption {
  readonly id: string;
  readonly words: string;
}

/** Doubts that often come up with a circuit as found: which wire is the neutral, which leg is high, which common is fed inside. */
export function usualDoubts(circuit: Circuit): readonly DoubtFact[] {
  const ids = wireIds(circuit.wires);
  const live = circuit.supplies.filter((s) => s.volts !== 0).map((s) => s.id);
  const neutral = circuit.supplies.find((s) => s.volts === 0 && s.id !== 'PE')?.id;
  const firstAt = (supply: string) =>
    ids.find((_, i) => [circuit.wires[i]!.from, circuit.wires[i]!.to].includes(supply));
  const returns = neutral === undefined ? undefined : firstAt(neutral);
  const swaps = live.flatMap((hot): DoubtFact[] => {
    const feed = firstAt(hot);
    return feed === undefined || returns === undefined ? [] : [{ kind: 'neutral', wires: [feed, returns] }];
  });
  const legs: DoubtFact[] = live.length === 3 ? [{ kind: 'highLeg', supplies: live }] : [];
  const commons = circuit.parts.flatMap((part) =>
    part.kind === 'control'
      ? part.owns.map((contact): DoubtFact => ({ kind: 'commonFed', control: part.id, contact }))
      : [],
  );
  return [...swaps, ...legs, ...commons];
}

/** The question as a person asks it; with the circuit, in the words of its wires and terminals. */
export function doubtWords(fact: DoubtFact, circuit?: Circuit): string {
  const wire = (id: string) => {
    const found = circuit?.wires[wireIds(circuit.wires).indexOf(id)];
    return [found?.label, found?.colour].filter(Boolean).join(' ') || id;
  };
  const end = (id: string) => (circuit ? endWords(circuit, id) : id);
  switch (fact.kind) {
    case 'neutral':
      return `Which of the wires ${fact.wires.map(wire).join(' and ')} is the neutral?`;
    case 'highLeg':
      return `Which of ${fact.supplies.join(', ')} is the high leg?`;
    case 'commonFed':
      return `Is the common ${end(`${fact.contact}.com`)} fed inside?`;
    case 'endsOn':
      return `Where does wire ${wire(fact.wire)} end: ${fact.among.map(end).join(' or ')}?`;
  }
}

/** The ways a doubt may turn out. */
export function doubtOptions(fact: DoubtFact): readonly DoubtOption[] {
  switch (fact.kind) {
    case 'neutral':
      return [
        { id: 'asWritten', words: 'as written down' },
        { id: 'swapped', words: 'the other way round' },
      ];
    case 'highLeg':
      return fact.supplies.map((id) => ({ id, words: `${id} is high` }));
    case 'commonFed':
      return [
        { id: 'dry', words: `${fact.contact} is dry` },
        { id: 'fed', words: `${fact.contact} is fed inside` },
      ];
    case 'endsOn':
      return fact.among.map((id) => ({ id, words: `on ${id}` }));
  }
}

/** The circuit if a doubt turns out one way. A fact that names nothing of the circuit changes nothing. */
export function settleDoubt(circuit: Circuit, fact: DoubtFact, option: string): Circuit {
  switch (fact.kind) {
    case 'neutral':
      return option === 'swapped' ? swapAtSupply(circuit, fact.wires) : circuit;
    case 'highLeg':
      return highLeg(circuit, fact.supplies, option);
    case 'commonFed': {
      const control = circuit.parts.find((p) => p.id === fact.control && p.kind === 'control');
      const contact = circuit.parts.find(
        (p): p is ContactPart => p.id === fact.contact && p.kind === 'contact',
      );
      if (option !== 'fed' || control?.kind !== 'control' || !contact) return circuit;
      const from = `${control.id}.${control.terminals[0]}`;
      const to = `${contact.id}.${contactEnds(contact).com}`;
      return { ...circuit, wires: [...circuit.wires, { from, to, internal: true }] };
    }
    case 'endsOn': {
      const at = wireIds(circuit.wires).indexOf(fact.wire);
      return {
        ...circuit,
        wires: circuit.wires.map((wire, i) => (i === at ? { ...wire, [fact.end]: option } : wire)),
      };
    }
  }
}

/** Two wires exchange the ends that lie on supplies. */
function swapAtSupply(circuit: Circuit, ids: readonly [string, string]): Circuit {
  const all = wireIds(circuit.wires);
  const [a, b] = ids.map((id) => all.indexOf(id)) as [number, number];
  if (a < 0 || b < 0) return circuit;
  const supplies = new Set(circuit.supplies.map((s) => s.id));
  const side = (i: number): 'from' | 'to' => (supplies.has(circuit.wires[i]!.from) ? 'from' : 'to');
  const [endA, endB] = [circuit.wires[a]![side(a)], circuit.wires[b]![side(b)]];
  return {
    ...circuit,
    wires: circuit.wires.map((wire, i) =>
      i === a ? { ...wire, [side(a)]: endB } : i === b ? { ...wire, [side(b)]: endA } : wire,
    ),
  };
}

/** A 240 V delta with a centre tap: 120 V on two legs, 120·√3 V on the third, a quarter turn off. */
function highLeg(circuit: Circuit, legs: readonly string[], high: string): Circuit {
  const low = legs.filter((id) => id !== high);
  return {
    ...circuit,
    supplies: circuit.supplies.map((supply) => {
      if (supply.id === high) return { ...supply, volts: 120 * Math.sqrt(3), degrees: 90 };
      const at = low.indexOf(supply.id);
      return at < 0 ? supply : { ...supply, volts: 120, degrees: at === 0 ? 0 : 180 };
    }),
  };
}
