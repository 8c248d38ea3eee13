import type { ControlConfig } from '../box/index.ts';
import { combinations, defrostMoments, type StartCause } from './cause.ts';
import { runUnder, startOutputs, type StartOutput, type Together } from './runUnder.ts';

/** One way to a start: what has to come together besides that the power comes back, and the second after it. */
export interface WayToStart {
  readonly seconds: number;
  readonly by: readonly StartCause[];
}

/** An output with the earliest second at which it may start. */
export interface EarliestStart {
  readonly output: StartOutput;
  readonly earliestSeconds: number;
  /** What takes the fewest causes to that second, the power first. */
  readonly by: readonly ('powerOn' | StartCause)[];
  /** Every way with at most one cause besides the power, the earliest first. */
  readonly ways: readonly WayToStart[];
}

/**
 * For each output the earliest second after the breaker closes at which it may start, over what hands, probes and a clock can cause, and by what: the control's own machine is run second by second under everything
 * that may come together. Outputs that cannot start within the time are left out. What begins at once and stays is nearly always the earliest: every hold of the machine counts from power-up, from a call or from a
 * stop. The exceptions are keys that get round a defrost, and they are tried. An automatic defrost within the time
 * other than at power-up is not: intervals are an hour and more. Held to an independent search in the tests.
 *
 * @param minutes how far is looked, more than 0
 */
export function earliestStarts(config: ControlConfig, minutes: number): readonly EarliestStart[] {
  const seconds = Math.round(minutes * 60);
  const best = new Map<StartOutput, WayToStart>();
  const ways = new Map<StartOutput, WayToStart[]>(startOutputs.map((output) => [output, []]));
  for (const by of combinations(config)) {
    const single = by.length <= 1;
    // One of many causes is worth a look only where it may come sooner than what is known.
    const limit = single
      ? seconds
      : Math.min(seconds, Math.max(...startOutputs.map((one) => best.get(one)?.seconds ?? seconds)));
    for (const together of momentsOf(config, by))
      for (const [output, at] of runUnder(config, together, limit)) {
        if (at < (best.get(output)?.seconds ?? Infinity)) best.set(output, { seconds: at, by });
        if (single) ways.get(output)!.push({ seconds: at, by });
      }
  }
  return startOutputs.flatMap((output) => {
    const way = best.get(output);
    if (!way) return [];
    const by = ['powerOn' as const, ...way.by];
    return [{ output, earliestSeconds: way.seconds, by, ways: needed(ways.get(output)!) }];
  });
}

/** Causes with the moments at which a defrost is keyed. */
const momentsOf = (config: ControlConfig, by: readonly StartCause[]): readonly Together[] =>
  (by.includes('defrostKey') || by.includes('defrostDue') ? defrostMoments(config) : [0]).map(
    (defrostAt) => ({
      by,
      defrostAt,
    }),
  );

/** Ways by which a cause brings nothing that the power alone does not bring are left out, and of one way the earliest is kept. */
function needed(ways: readonly WayToStart[]): readonly WayToStart[] {
  const alone = ways.find(({ by }) => by.length === 0)?.seconds ?? Infinity;
  const earliest = new Map<string, WayToStart>();
  for (const way of ways) {
    const key = way.by.join();
    if (way.seconds < (earliest.get(key)?.seconds ?? Infinity)) earliest.set(key, way);
  }
  return [...earliest.values()]
    .filter(({ by, seconds }) => by.length === 0 || seconds < alone)
    .toSorted((a, b) => a.seconds - b.seconds);
}
