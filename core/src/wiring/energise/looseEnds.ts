import { endWords, type Circuit } from '../circuit/index.ts';
import { openVolts, type Settled } from '../solver/index.ts';
import { voltWords, worstOfEach, type Danger } from './danger.ts';
import type { PartlyWired } from './partial.ts';

/** From here on a bare end is live (common practice for contact voltage in wet rooms is 25 to 30 V; the command line's format says 30). */
export const LIVE_VOLTS = 30;

/** Terminals that wait for a wire, with the wire's id. A supply is no terminal: it is live whatever hangs on it. */
function waiting(plan: Circuit, { missing }: PartlyWired): ReadonlyMap<string, string> {
  const supplies = new Set(plan.supplies.map(({ id }) => id));
  return new Map(
    missing.flatMap(({ id, wire }) =>
      [wire.from, wire.to].filter((end) => !supplies.has(end)).map((end) => [end, id] as const),
    ),
  );
}

/** looseEndLive: a terminal whose wire is not done stands over 30 V to earth in some state. */
export function looseEndsLive(
  plan: Circuit,
  partly: PartlyWired,
  states: readonly Settled[],
): readonly Danger[] {
  const ends = waiting(plan, partly);
  return worstOfEach(
    states.flatMap((s) =>
      [...ends.keys()].flatMap((at): readonly Danger[] => {
        const node = s.network.nodeOf.get(at);
        if (node === undefined) return [];
        const volts = voltsToEarth(s, node);
        return volts > LIVE_VOLTS
          ? [
              {
                code: 'looseEndLive',
                at,
                state: s.asked.state,
                volts,
                message: `${endWords(plan, at)} waits for a wire and has ${voltWords(volts)} to earth in state ${s.asked.state}.`,
              },
            ]
          : [];
      }),
    ),
  );
}

/** Supplies that wait for a wire: its free end may lie on them, and they are live. */
export function suppliesWaiting(plan: Circuit, { missing }: PartlyWired): readonly string[] {
  return plan.supplies
    .filter(
      ({ id, volts }) =>
        Math.abs(volts) > LIVE_VOLTS && missing.some(({ wire }) => wire.from === id || wire.to === id),
    )
    .map(({ id }) => id);
}

/** Volts between a node and the protective earth; to the common reference where the circuit has none. */
export function voltsToEarth(s: Settled, node: number): number {
  const earth = s.network.sources.find((source) => source.id === 'PE');
  return earth ? openVolts(s, node, earth.node) : Math.hypot(s.re[node]!, s.im[node]!);
}
