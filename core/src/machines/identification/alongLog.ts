import { usualBoxOf, usualDoor, type Scenario } from '../simulation/index.ts';
import type { Course } from './course.ts';
import { isDry, openLoopBox } from './identify.ts';
import { roomFor, runAlong, trackOf } from './openLoop.ts';

/** A box beside the log that it was learned from, a number a row: seconds since the first row, °C. */
export interface BesideLog {
  readonly time: Float64Array;
  readonly logged: Float64Array;
  readonly model: Float64Array;
}

/** Runs a box at a point along its log, its air put back to the logged one at every start of the compressor: what lies between is what the model does not say. */
export function alongLog(scenario: Scenario, course: Course, at: Float64Array): BesideLog {
  const track = trackOf(course, usualDoor(scenario));
  const box = openLoopBox(usualBoxOf(scenario), scenario, at, {
    doorLogged: course.door !== null,
    dry: isDry(scenario, course),
  });
  const { logged } = runAlong(track, box, roomFor(track));
  const stepOf = (t: number) => Math.min(track.steps - 1, Math.floor(t / track.step));
  return { time: course.time, logged: course.air, model: course.time.map((t) => logged[stepOf(t)]!) };
}
