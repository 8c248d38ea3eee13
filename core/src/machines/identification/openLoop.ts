import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import {
  ambientRatio,
  BoxFlows,
  boxWork,
  driveAtRest,
  places,
  restingBox,
  stepBox,
  type BoxParameters,
  type TemplateId,
  templates,
} from '../box/index.ts';
import { dailyCourse, type DoorHabit } from '../simulation/index.ts';
import { between, type Course } from './course.ts';

/** Seconds of a step, to which the compressor's times are rounded: the longer the log, the longer, so that it is learned from in the same time. */
const stepFor = (seconds: number): number => (seconds <= 4.2 * SECONDS_PER_DAY ? 10 : 15);

/** A course cut into steps once, so that a run along it only counts. */
export interface Track {
  readonly steps: number;
  /** s */
  readonly step: number;
  /** Bits of a step: compressor 1, heater 2, fan 4, door 8. */
  readonly drive: Uint8Array;
  readonly ambient: Float64Array | null;
  readonly startOfDay: number;
  /** Steps at whose beginning the model is put back to the logged air, and the air then; NaN elsewhere. */
  readonly putBack: Float64Array;
  readonly firstAir: number;
  /** Mean of the first day: what is kept stands near it. */
  readonly meanAir: number;
}

/** Cuts a course into steps. A door that nobody logged is counted as a little open all through its hours of business. */
export function trackOf(course: Course, door: Pick<DoorHabit, 'opens' | 'closes'>): Track {
  const { time, switches, startOfDay } = course;
  const step = stepFor(time.at(-1)!);
  const steps = Math.floor(time.at(-1)! / step);
  const drive = new Uint8Array(steps);
  let next = 0;
  let bits = 0;
  let row = 0;
  const ambient = course.ambient && new Float64Array(steps);
  for (let i = 0; i < steps; i += 1) {
    const t = i * step;
    while (next < switches.length && switches[next]!.at <= t + step / 2) {
      const { compressor, heater, fan } = switches[next]!;
      bits = (compressor ? 1 : 0) + (heater ? 2 : 0) + (fan ? 4 : 0);
      next += 1;
    }
    while (row < time.length - 1 && time[row + 1]! <= t) row += 1;
    const ofDay = (startOfDay + t) % SECONDS_PER_DAY;
    const open = course.door ? course.door[row] === 1 : ofDay >= door.opens && ofDay < door.closes;
    drive[i] = bits + (open ? 8 : 0);
    if (ambient) ambient[i] = known(course.ambient[row]!, ambient[i - 1], course.ambient);
  }
  const putBack = new Float64Array(steps).fill(Number.NaN);
  for (const { kind, from } of course.stretches)
    if (kind === 'run')
      putBack[Math.min(steps - 1, Math.round(from / step))] = between(course.time, course.air, from);
  return {
    steps,
    step,
    drive,
    ambient,
    startOfDay,
    putBack,
    firstAir: course.air.find((t) => t === t) ?? 0,
    meanAir: meanOfFirstDay(course),
  };
}

/** A reading, or the one before it while a probe is failed; at the beginning the first there is. */
function known(now: number, before: number | undefined, column: Float64Array): number {
  return now === now ? now : (before ?? column.find((t) => t === t) ?? 0);
}

function meanOfFirstDay({ time, air }: Course): number {
  const first = air.filter((t, i) => t === t && time[i]! < SECONDS_PER_DAY);
  return first.reduce((sum, t) => sum + t, 0) / Math.max(1, first.length);
}

/** What a run along a track leaves: a number a step. */
export interface OpenLoop {
  readonly logged: Float64Array;
  readonly probe: Float64Array;
  readonly coil: Float64Array;
}

/** Room for a run along a track: it is written over from run to run. */
export const roomFor = ({ steps }: Track): OpenLoop => ({
  logged: new Float64Array(steps),
  probe: new Float64Array(steps),
  coil: new Float64Array(steps),
});

/** What a box is run along a log with. */
export interface OpenLoopBox {
  readonly box: BoxParameters;
  readonly template: TemplateId;
  readonly ambient: number;
  readonly swing: number;
  readonly humidityFactor: number;
  readonly loggerLag: number;
  readonly loggerOffset: number;
  /** What clears the coil is hot gas, not a heater. */
  readonly hotGas: boolean;
}

/**
 * Runs a box along a log, under the outputs as they were logged, and puts its air back to the logged one at every start of the compressor. The box's slow parts (goods, walls, frost) go
 * their own way.
 */
export function runAlong(track: Track, b: OpenLoopBox, room: OpenLoop): OpenLoop {
  const { steps, step, drive: bits, putBack } = track;
  const { box } = b;
  const start = track.firstAir - b.loggerOffset;
  const inside = track.meanAir - b.loggerOffset;
  const state = restingBox(inside);
  const s = state.at;
  const wall = (box.wallToAir * inside + box.wallToAmbient * b.ambient) / (box.wallToAir + box.wallToAmbient);
  s[places.WALL] = wall;
  s[places.AIR] = start;
  s[places.PROBE] = start;
  const work = boxWork();
  const flows = new BoxFlows();
  const ratio = ambientRatio(templates[b.template], b.ambient) * b.humidityFactor;
  const drive = driveAtRest(b.ambient, ratio);
  const share = 1 - Math.exp(-step / b.loggerLag);
  let logger = start;
  for (let i = 0; i < steps; i += 1) {
    const back = putBack[i]!;
    if (back === back) {
      const moved = back - b.loggerOffset - logger;
      logger += moved;
      s[places.AIR] += moved;
      s[places.PROBE] += moved;
    }
    const bit = bits[i]!;
    drive.compressor = (bit & 1) !== 0;
    drive.heater = (bit & 2) !== 0 && !b.hotGas;
    drive.hotGas = (bit & 2) !== 0 && b.hotGas;
    drive.fan = (bit & 4) !== 0;
    drive.doorOpen = (bit & 8) !== 0;
    drive.ambient = track.ambient
      ? track.ambient[i]!
      : b.ambient + dailyCourse(b.swing, track.startOfDay + i * step);
    stepBox(box, state, drive, step, flows, work);
    logger += (s[places.AIR] - logger) * share;
    room.logged[i] = logger + b.loggerOffset;
    room.probe[i] = s[places.PROBE]!;
    room.coil[i] = s[places.COIL_PROBE]!;
  }
  return room;
}
