import type { BoxParameters } from './boxParameters.ts';

/** What decays in a step and depends on nothing but the box and the step: worked out once for the box at hand. */
export interface Decays {
  readonly of: BoxParameters | null;
  readonly dt: number;
  readonly probe: number;
  readonly coilProbe: number;
  readonly rising: number;
  readonly falling: number;
  readonly drain: number;
}

/** The decays of a box and a step, worked out anew only where either changed. */
export function decaysOf(work: BoxWork, p: BoxParameters, dt: number): Decays {
  const { decays } = work;
  if (decays.of === p && decays.dt === dt) return decays;
  const gone = (time: number) => 1 - Math.exp(-dt / time);
  work.decays = {
    of: p,
    dt,
    probe: gone(p.probeLag),
    coilProbe: gone(p.coilProbeLag),
    rising: gone(p.startUp),
    falling: gone(STOPPING),
    drain: gone(p.drainTime),
  };
  return work.decays;
}

/** Time in which the refrigerant comes to rest after a stop, s. */
const STOPPING = 5;

/**
 * What flows at a zone in a step. Kept between steps and written over: numbers handed from function to function would be boxed, and a month has 2.6 million
 * steps.
 */
export interface ZoneFlow {
  /** To the air, W/K. */
  toAir: number;
  /** Humidity ratio of the air that touches it. */
  ratio: number;
  /** What the refrigerant takes, W. */
  cooling: number;
  /** Heat and vapour that come to it in the step, J and kg; water that drains from it, kg. */
  heat: number;
  vapour: number;
  drained: number;
}
const zoneFlow = (): ZoneFlow => ({
  toAir: 0.5,
  ratio: 0.5,
  cooling: 0.5,
  heat: 0.5,
  vapour: 0.5,
  drained: 0.5,
});

/** The working numbers of a run: made once by whoever runs it, written over in every step. Two runs side by side have one each. */
export interface BoxWork {
  decays: Decays;
  readonly flow1: ZoneFlow;
  readonly flow2: ZoneFlow;
  /** The machine's side of a step: where it condenses, the share of its capacity at hand, where it evaporates. */
  readonly cycle: { condensing: number; share: number; evaporating: number };
}

/** Working numbers for one run. */
export const boxWork = (): BoxWork => ({
  decays: { of: null, dt: 0, probe: 0, coilProbe: 0, rising: 0, falling: 0, drain: 0 },
  flow1: zoneFlow(),
  flow2: zoneFlow(),
  cycle: { condensing: 0.5, share: 0.5, evaporating: 0.5 },
});
