import type { Circuit } from '../circuit/index.ts';
import { Bench } from '../readings/index.ts';
import { meterUnitOf, type Reading } from '../readings/index.ts';
import { groundsOf } from '../readings/index.ts';
import { judgeReading } from '../meter/index.ts';
import { nextReading, type NextReading } from '../readings/index.ts';
import { placesOf } from '../readings/index.ts';
import { networkOf } from '../solver/index.ts';
import { doubtOptions, settleDoubt, type DoubtFact } from './doubts.ts';

/** A circuit that may be, and how each doubt turned out for it. */
export interface Possibility {
  readonly words: string;
  readonly choices: readonly string[];
  readonly circuit: Circuit;
}

/** What the readings have left of the circuits that may be. */
export interface Narrowed {
  readonly left: readonly Possibility[];
  readonly of: number;
  /** Where to put the meter next; null when one is left or no reading tells the rest apart. */
  readonly next: NextReading<string> | null;
  /** True where the readings fit none: something else is not as written down. */
  readonly none: boolean;
}

/** Most circuits that are held side by side. */
export const MOST_POSSIBILITIES = 64;

/** Every combination of the ways the doubts may turn out; at most {@link MOST_POSSIBILITIES}, the first doubts first. */
export function possibilities(circuit: Circuit, doubts: readonly DoubtFact[]): readonly Possibility[] {
  return doubts.reduce<readonly Possibility[]>(
    (list, fact) => {
      const options = doubtOptions(fact);
      if (list.length * options.length > MOST_POSSIBILITIES) return list;
      return list.flatMap((one) =>
        options.map((option) => ({
          words: [one.words, option.words].filter((w) => w !== '').join(', '),
          choices: [...one.choices, option.id],
          circuit: settleDoubt(one.circuit, fact, option.id),
        })),
      );
    },
    [{ words: '', choices: [], circuit }],
  );
}

/** Keeps the circuits that agree with every reading, and finds the reading, dead first, that splits the rest best. */
export function narrow(
  circuit: Circuit,
  doubts: readonly DoubtFact[],
  readings: readonly Reading[],
): Narrowed {
  const all = possibilities(circuit, doubts).map((possibility) => {
    const network = networkOf(possibility.circuit);
    return { possibility, bench: new Bench({ network, effect: {} }), ground: groundsOf(network) };
  });
  const agreeing = all.filter(({ bench, ground }) =>
    readings.every((reading) => {
      const row = { unit: meterUnitOf(reading), expected: bench.expect(reading), ground: ground(reading) };
      return judgeReading(row, reading.reads.value) === 'right';
    }),
  );
  const suspects = agreeing.map(({ possibility, bench }) => ({ fault: possibility.words, bench, weight: 1 }));
  const network = networkOf(circuit);
  return {
    left: agreeing.map(({ possibility }) => possibility),
    of: all.length,
    next: nextReading(network, suspects, readings, withEarth(circuit)),
    none: agreeing.length === 0,
  };
}

/** As found, readings against earth count too: cabinet metal is what is at hand before anything is known to be a neutral. */
function withEarth(circuit: Circuit) {
  const network = networkOf(circuit);
  const earth = circuit.supplies.some((s) => s.id === 'PE');
  const state = Object.keys(circuit.states)[0]!;
  const toEarth = earth
    ? [...network.nodeOf.keys()].filter((node) => node !== 'PE').map((from) => ({ state, from, to: 'PE' }))
    : [];
  return [...placesOf(network), ...toEarth];
}
