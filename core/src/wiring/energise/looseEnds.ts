import { endWords, type Circuit } from '../circuit/index.ts';
import { voltWords } from '../findings/index.ts';
import { LIVE_VOLTS, voltsToEarth, type Settled } from '../solver/index.ts';
import { worstOfEach, type Danger } from './danger.ts';
import type { PartlyWired } from './partial.ts';

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
