import { nameOf, terminalsOf, type Circuit, type Part } from '../circuit/index.ts';
import { safetiesOf } from '../findings/index.ts';
import { isEnergised } from '../report/index.ts';
import { isSettled, networkOf, OPEN, partVolts, settle, statesOf, type Settled } from '../solver/index.ts';
import { worstOfEach, type Danger } from './danger.ts';

/** safetyMissing: a load works in a state, and a safety switch that stops it in the finished plan does not stop it as it is wired now. */
export function safetiesMissing(plan: Circuit, states: readonly Settled[]): readonly Danger[] {
  const network = states[0]?.network;
  if (!network) return [];
  const finished = networkOf(plan);
  const planned = safetiesOf(finished, statesOf(finished).filter(isSettled));
  const now = safetiesOf(network, states);
  return worstOfEach(
    states.flatMap((s) =>
      network.parts.flatMap(({ part, index }): readonly Danger[] => {
        if (part.kind !== 'load' || !isEnergised(s, index)) return [];
        const missing = [...(planned.get(part.id) ?? [])].filter((id) => !now.get(part.id)?.has(id));
        if (missing.length === 0) return [];
        const names = missing.map((id) => nameOf(plan.parts.find((p) => p.id === id)!)).join(' and ');
        return [
          {
            code: 'safetyMissing',
            at: `${part.id}.${terminalsOf(part)[0]!}`,
            state: s.asked.state,
            volts: partVolts(s, index),
            message: `${nameOf(part)} runs in state ${s.asked.state}, and ${names} cannot stop it as it is wired now.`,
          },
        ];
      }),
    ),
  );
}

/** What stands before a load that works: fuses and safety switches that take it out when they open. */
export interface Protected {
  readonly load: string;
  readonly fuses: readonly string[];
  readonly safeties: readonly string[];
}

/** Every load that works in some state, with what protects it as it is wired now. */
export function protectedBy(states: readonly Settled[]): readonly Protected[] {
  const network = states[0]?.network;
  if (!network) return [];
  const safeties = safetiesOf(network, states);
  const fuses = network.parts.filter(({ part }) => part.kind === 'fuse');
  return network.parts.flatMap(({ part, index }): readonly Protected[] => {
    const working = states.find((s) => part.kind === 'load' && isEnergised(s, index));
    if (!working) return [];
    const opens = fuses.filter(({ branch }) => {
      const opened = settle(network, working.asked, { siemens: new Map([[branch, OPEN]]) });
      return isSettled(opened) && !isEnergised(opened, index);
    });
    const named = (of: Part) => nameOf(of);
    return [
      {
        load: nameOf(part),
        fuses: opens.map((fuse) => named(fuse.part)),
        safeties: [...(safeties.get(part.id) ?? [])].map((id) =>
          named(network.parts.find((placed) => placed.part.id === id)!.part),
        ),
      },
    ];
  });
}
