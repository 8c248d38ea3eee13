import { endWords, nameOf, terminalsOf, type Circuit, type Part } from '../circuit/index.ts';
import { leadVolts, OFF, ratedVolts, shortCircuit, voltWords } from '../findings/index.ts';
import { highestVolts, LIVE_VOLTS, partVolts, type Settled } from '../solver/index.ts';
import { worstOfEach, type Danger } from './danger.ts';

/**
 * Before the breaker is closed a part may get this share more or less than it is made for. Nearer than what is called too little in a finished plan (85 %): what is half done has no reason yet to be at its limit.
 */
const TOLERANCE = 0.1;

const firstTerminal = (part: Part): string => `${part.id}.${terminalsOf(part)[0]!}`;

/** wrongVoltage: a load, a coil or a control gets over a tenth more, or less, than it is made for. */
export function wrongVoltages(states: readonly Settled[]): readonly Danger[] {
  const off = new Map<Danger, number>();
  for (const s of states)
    for (const { part, index } of s.network.parts) {
      const rated = ratedVolts(part);
      if (rated === null) continue;
      const high = highestVolts(s, index);
      const volts = high > (1 + TOLERANCE) * rated ? high : partVolts(s, index);
      const share = volts / rated;
      if (share < OFF || Math.abs(share - 1) <= TOLERANCE) continue;
      const message = `${nameOf(part)} gets ${voltWords(volts)} in state ${s.asked.state}; it is made for ${rated} V.`;
      off.set(
        { code: 'wrongVoltage', at: firstTerminal(part), state: s.asked.state, volts, message },
        Math.abs(share - 1),
      );
    }
  return worstOfEach([...off.keys()], (one) => off.get(one)!);
}

/** shortCircuit: a supply is dragged away from its own potential before any fuse opens. */
export const shorts = (states: readonly Settled[]): readonly Danger[] =>
  worstOfEach(
    states.flatMap((s) =>
      shortCircuit(s).flatMap(({ parts, message, numbers }) =>
        parts.map((at) => ({
          code: 'shortCircuit' as const,
          at,
          state: s.asked.state,
          volts: numbers['volts']!,
          message,
        })),
      ),
    ),
  );

/** probeOnMains: a lead of a probe is live, to earth or to its other lead. */
export function probesOnMains(plan: Circuit, states: readonly Settled[]): readonly Danger[] {
  return worstOfEach(
    states.flatMap((s) =>
      s.network.parts.flatMap(({ part, nodes }): readonly Danger[] => {
        if (part.kind !== 'probe') return [];
        return leadVolts(s, nodes).flatMap((volts, i) => {
          const at = `${part.id}.${part.terminals[i]!}`;
          const message = `${endWords(plan, at)} is for a probe and has ${voltWords(volts)} in state ${s.asked.state}.`;
          return volts > LIVE_VOLTS
            ? [{ code: 'probeOnMains' as const, at, state: s.asked.state, volts, message }]
            : [];
        });
      }),
    ),
  );
}
