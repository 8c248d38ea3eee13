import { nameOf, terminalsOf, type Circuit } from '../circuit/index.ts';
import { isSettled, networkOf, statesOf } from '../solver/index.ts';
import type { Danger } from './danger.ts';
import { looseEndsLive, suppliesWaiting } from './looseEnds.ts';
import { partlyWired } from './partial.ts';
import { protectedBy, safetiesMissing, type Protected } from './safeties.ts';
import { probesOnMains, shorts, wrongVoltages } from './voltages.ts';

export type EnergiseVerdict = 'safe' | 'unsafe' | 'notKnown';

/** One danger makes it unsafe; what is not known is never safe. */
export const verdictOf = (dangers: readonly Danger[], unknown: readonly string[]): EnergiseVerdict =>
  dangers.length > 0 ? 'unsafe' : unknown.length > 0 ? 'notKnown' : 'safe';

/** What is said before the breaker is closed. */
export interface Energise {
  readonly verdict: EnergiseVerdict;
  readonly dangers: readonly Danger[];
  /** Why it is not known, in sentences. */
  readonly unknown: readonly string[];
  /** Live supplies that wait for a wire: its free end must be off them, or capped. */
  readonly supplies: readonly string[];
  /** What stands before each load that works. */
  readonly protects: readonly Protected[];
  /** Wires of the plan that are not done. */
  readonly missing: readonly string[];
}

/**
 * Whether a half-done wiring may be energised: every state of the plan is solved with the wires that are done alone. Safe only where no terminal that waits for a wire is live, nothing runs without the safety that
 * the finished plan gives it, no part gets a wrong voltage, nothing is shorted and no probe stands on mains; not known where a state never comes to rest or a consumer was never traced.
 *
 * @param done ids of the wires that are done, as the circuit format counts them; null: all of them
 */
export function energise(plan: Circuit, done: ReadonlySet<string> | null = null): Energise {
  const partly = done === null ? { circuit: plan, missing: [] } : partlyWired(plan, done);
  const solved = statesOf(networkOf(partly.circuit));
  const states = solved.filter(isSettled);
  const dangers = [
    ...shorts(states),
    ...safetiesMissing(plan, states),
    ...wrongVoltages(states),
    ...probesOnMains(plan, states),
    ...looseEndsLive(plan, partly, states),
  ];
  const unknown = [
    ...solved.flatMap((one) =>
      isSettled(one)
        ? []
        : [`${one.parts.join(' and ')} switch each other without end in state ${one.state}.`],
    ),
    ...(solved.length === 0 ? ['The plan names no state to look at.'] : []),
    ...untraced(plan),
  ];
  return {
    verdict: verdictOf(dangers, unknown),
    dangers,
    unknown,
    supplies: suppliesWaiting(plan, partly),
    protects: protectedBy(states),
    missing: partly.missing.map(({ id }) => id),
  };
}

/** Consumers, coils and controls with a terminal that the plan leads nowhere: nobody knows what hangs on it. */
function untraced(plan: Circuit): readonly string[] {
  const led = new Set(plan.wires.flatMap(({ from, to }) => [from, to]));
  return plan.parts.flatMap((part) => {
    if (part.kind !== 'load' && part.kind !== 'control' && part.kind !== 'contactor') return [];
    const ends = part.kind === 'contactor' ? part.coil : terminalsOf(part);
    const loose = ends.filter((end) => !led.has(`${part.id}.${end}`));
    return loose.length > 0
      ? [`No wire is traced to ${loose.join(' and ')} of ${nameOf(part)}: what hangs on it is not known.`]
      : [];
  });
}
