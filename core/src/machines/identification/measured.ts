import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { Course } from './course.ts';
import { isBusiness, riseOf } from './figuresOf.ts';
import type { Measured } from './predict.ts';

/** Part of a day that still has a greatest of its own, h. */
const MOST_OF_A_DAY = 20 * 3600;

/** What the days of a log came to, counted as the model counts its own. */
export function measuredFigures(course: Course): Measured & { readonly dutyRise: number } {
  const { time, air, stretches, defrosts } = course;
  const span = time.at(-1)! - time[0]!;
  const runs = stretches.filter((s) => s.kind === 'run');
  let running = 0;
  for (const { from, to } of runs) running += Math.min(to, time.at(-1)!) - Math.max(0, from);
  let clearing = 0;
  let away = 0;
  for (const { from, to, over } of defrosts) {
    clearing += to - from;
    away += Math.min(over, time.at(-1)!) - from;
  }
  let [sum, count] = [0, 0];
  const dayMax: number[] = [];
  for (let i = 0; i < air.length; i += 1) {
    const t = air[i]!;
    if (t !== t) continue;
    sum += t;
    count += 1;
    const day = Math.floor(time[i]! / SECONDS_PER_DAY);
    if (span - day * SECONDS_PER_DAY >= MOST_OF_A_DAY) dayMax[day] = Math.max(dayMax[day] ?? -Infinity, t);
  }
  const greatest = dayMax.filter((t) => t > -Infinity);
  return {
    startsSeen: (runs.length * 3600) / span,
    dutyPercent: (100 * running) / Math.max(1, span - away),
    defrostMinutes: defrosts.length > 0 ? clearing / defrosts.length / 60 : null,
    outputsLogged: course.outputsLogged,
    dutyRise: dutyRise(course),
    airMean: sum / Math.max(1, count),
    airDayMax: greatest.reduce((a, b) => a + b, 0) / Math.max(1, greatest.length),
  };
}

const LOOK = 30;

/** Duty in business hours less that of the others, defrosts and drip times left out. */
function dutyRise({ time, switches, defrosts, startOfDay }: Course): number {
  const byDay = { running: [0, 0], regulating: [0, 0] };
  let [of, clearing] = [0, 0];
  for (let t = 0; t < time.at(-1)!; t += LOOK) {
    while (of < switches.length - 1 && switches[of + 1]!.at <= t) of += 1;
    while (clearing < defrosts.length && defrosts[clearing]!.over <= t) clearing += 1;
    if (clearing < defrosts.length && t >= defrosts[clearing]!.from) continue;
    const part = isBusiness(startOfDay + t) ? 1 : 0;
    byDay.regulating[part]! += LOOK;
    if (switches[of]!.compressor) byDay.running[part]! += LOOK;
  }
  return riseOf(byDay);
}
