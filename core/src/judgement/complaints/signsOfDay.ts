import { MAX_STARTS_PER_HOUR } from '../../foundation/limits/index.ts';
import type { Figures } from '../../machines/simulation/index.ts';
import type { SignId } from './signs.ts';

/** What people notice: a product so many K off, a compressor that runs so much, so many starts, so much ice, so many alarms a day. */
const NOTICED_K = 1.3;
const ALWAYS = 90;
const ALARMS = 2;

/** The signs of a spoilt day beside a sound one. */
export function signsOfDay(day: Figures, sound: Figures): ReadonlySet<SignId> {
  const signs = new Set<SignId>();
  const warmer = day.product.mean - sound.product.mean;
  if (warmer > NOTICED_K) signs.add('boxWarm');
  if (warmer < -NOTICED_K) signs.add('boxCold');
  if (day.dutyPercent > ALWAYS && day.dutyPercent > sound.dutyPercent + 10) signs.add('alwaysRunning');
  if (day.startsPerHour > MAX_STARTS_PER_HOUR) signs.add('shortCycles');
  if (day.iceGrown > Math.max(day.iceNoticed, 3 * Math.max(0, sound.iceGrown))) signs.add('iceOnCoil');
  const alarms = (f: Figures) => Object.values(f.alarms).reduce((sum, n) => sum + n, 0);
  if (alarms(day) >= ALARMS && alarms(day) > alarms(sound)) signs.add('alarmNags');
  return signs;
}
