import type { ControlState } from '../src/machines/box/control/state.ts';

/** A state that goes its own way from here. */
export function copyState(state: ControlState): ControlState {
  return {
    ...state,
    air: { ...state.air },
    coil: { ...state.coil },
    coil2: { ...state.coil2 },
    second: { ...state.second },
    counts: { ...state.counts, ring: state.counts.ring.slice() },
    out: { ...state.out },
    causes: { ...state.causes },
  };
}
