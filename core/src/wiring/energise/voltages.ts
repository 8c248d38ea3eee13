import { endWords, nameOf, terminalsOf, type Circuit, type Part } from '../circuit/index.ts';
import { shortCircuit } from '../findings/index.ts';
import { highestVolts, openVolts, partVolts, type Settled } from '../solver/index.ts';
import { voltWords, worstOfEach, type Danger } from './danger.ts';
import { LIVE_VOLTS, voltsToEarth } from './looseEnds.ts';

/** A part may get this share more or less than it is made for. Below a tenth it is simply off. */
const TOLERANCE = 0.1;
const OFF = 0.1;

function madeFor(part: Part): number | null {
  if (part.kind === 'load' || part.kind === 'control') return part.ratedVolts;
  return part.kind === 'contactor' ? part.coilVolts : null;
}

const firstTerminal = (part: Part): string => `${part.id}.${terminalsOf(part)[0]!}`;

/** wrongVoltage: a load, a coil or a control gets over a tenth more, or less, than it is made for. */
export function wrongVoltages(states: readonly Settled[]): readonly Danger[] {
  const found = states.flatMap((s) =>
    s.network.parts.flatMap(({ part, index }): readonly (Danger & { readonly off: number })[] => {
      const rated = madeFor(part);
      if (rated === null) return [];
      const high = highestVolts(s, index);
      const low = partVolts(s, index);
      const volts = high > (1 + TOLERANCE) * rated ? high : low;
      const off = volts / rated;
      if (off <= 1 + TOLERANCE && (off >= 1 - TOLERANCE || off < OFF)) return [];
      return [
        {
          code: 'wrongVoltage',
          at: firstTerminal(part),
          state: s.asked.state,
          volts,
          off: Math.abs(off - 1),
          message: `${nameOf(part)} gets ${voltWords(volts)} in state ${s.asked.state}; it is made for ${rated} V.`,
        },
      ];
    }),
  );
  const offBy = new Map<Danger, number>(found.map((one) => [one, one.off]));
  return worstOfEach(found, (one) => offBy.get(one)!).map(({ code, at, state, volts, message }) => ({
    code,
    at,
    state,
    volts,
    message,
  }));
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

/** probeOnMains: a probe terminal over 30 V to earth, or to its other terminal. */
export function probesOnMains(plan: Circuit, states: readonly Settled[]): readonly Danger[] {
  return worstOfEach(
    states.flatMap((s) =>
      s.network.parts.flatMap(({ part, nodes }): readonly Danger[] => {
        if (part.kind !== 'probe') return [];
        const across = openVolts(s, nodes[0]!, nodes[1]!);
        return nodes.flatMap((node, i) => {
          const volts = Math.max(voltsToEarth(s, node), across);
          const at = `${part.id}.${part.terminals[i]!}`;
          return volts > LIVE_VOLTS
            ? [
                {
                  code: 'probeOnMains' as const,
                  at,
                  state: s.asked.state,
                  volts,
                  message: `${endWords(plan, at)} is for a probe and has ${voltWords(volts)} in state ${s.asked.state}.`,
                },
              ]
            : [];
        });
      }),
    ),
  );
}
