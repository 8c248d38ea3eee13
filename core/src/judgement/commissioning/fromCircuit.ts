import type { Circuit, LoadPart } from '../../wiring/circuit/index.ts';
import { isEnergised } from '../../wiring/report/index.ts';
import { isSettled, networkOf, partAmps, partVolts, statesOf } from '../../wiring/solver/index.ts';

/** What the planned circuit says of a meter's readings: volts at the control's supply, amps of each load where it works. */
export interface CircuitReadings {
  /** Volts at the supply of the new control, and between which terminals; null where the plan has none. */
  readonly supply: { readonly volts: number; readonly between: readonly string[] } | null;
  /** Amps of each load that works in some state, by its role, with its name. */
  readonly loads: readonly { readonly part: LoadPart; readonly amps: number }[];
}

/** Solves the plan once and keeps what a meter and a clamp will read. */
export function readingsFrom(circuit: Circuit): CircuitReadings {
  const network = networkOf(circuit);
  const settled = statesOf(network).filter(isSettled);
  const control = network.parts.find(({ part }) => part.kind === 'control');
  const volts = control ? Math.max(0, ...settled.map((s) => partVolts(s, control.index))) : 0;
  const loads = network.parts.flatMap(({ part, index }) => {
    if (part.kind !== 'load') return [];
    const amps = settled.filter((s) => isEnergised(s, index)).map((s) => partAmps(s, index));
    return amps.length > 0 ? [{ part, amps: Math.max(...amps) }] : [];
  });
  return {
    supply:
      control && volts > 1
        ? { volts, between: 'terminals' in control.part ? control.part.terminals : [] }
        : null,
    loads,
  };
}
