import { SECONDS_PER_DAY } from '../../../foundation/limits/index.ts';
import { UnitRun, type Scenario } from '../../../machines/simulation/index.ts';

/** A day of a room: water from the drain, litres; stops of the compressor; fan hours; air °C. */
export interface RoomDay {
  readonly drained: number;
  readonly stops: number;
  readonly fanHours: number;
  readonly air: { readonly min: number; readonly max: number };
}

/** Runs a scenario and brings what it counts to a day. */
export function roomDay(scenario: Scenario): RoomDay {
  const run = new UnitRun(scenario, 5);
  const total = scenario.warmUp + scenario.seconds;
  let [fan, drainedBefore] = [0, 0];
  for (let t = 0; t < total; t += 1) {
    if (t === scenario.warmUp) {
      run.beginCount();
      drainedBefore = run.flows.meltDrained;
    }
    run.second(t - scenario.warmUp);
    if (t >= scenario.warmUp && run.standing.drive.fan) fan += 1;
  }
  run.advance();
  const days = scenario.seconds / SECONDS_PER_DAY;
  const { air } = run.count.figures(run.flows);
  return {
    drained: (run.flows.meltDrained - drainedBefore) / days,
    stops: run.events.filter((e) => e.kind === 'compressor' && e.value === false).length / days,
    fanHours: fan / 3600 / days,
    air,
  };
}
