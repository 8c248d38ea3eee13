import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import { CLOSES, OPENS } from '../box/index.ts';
import { UnitRun, type Scenario } from '../simulation/index.ts';
import type { Logger } from './ownPlantAt.ts';

/** What days of a box under settings come to; air as the logging thermometer reads it, °C. */
export interface DayFigures {
  readonly startsPerHour: number;
  readonly dutyPercent: number;
  /** Mean length of the defrost phase, min; null without a defrost. */
  readonly defrostMinutes: number | null;
  readonly defrostsPerDay: number;
  readonly airMean: number;
  readonly airMax: number;
  /** Mean of the days' own greatest: what one day's chance moves less than the greatest of all. */
  readonly airDayMax: number;
  /** Starts an hour as a logger counts them that looks so often: it misses the short ones. */
  readonly startsSeen: number;
  /** Duty in the hours of business less that of the other hours, points: what doors, goods and warm afternoons bring. */
  readonly dutyRise: number;
  /** Warmest core of what is kept, °C; ice that a defrost left at most, kg (null without one); energy, kWh a day. No log says them: they are the model's own. */
  readonly productMax: number;
  readonly iceLeft: number | null;
  readonly energyPerDay: number;
}

const STRIDE = 10;

/** In the hours of business. */
export const isBusiness = (second: number): boolean => {
  const ofDay = second % SECONDS_PER_DAY;
  return ofDay >= OPENS && ofDay < CLOSES;
};

/** Duty of the business hours (1) less that of the others (0), points. */
export function riseOf({
  running,
  regulating,
}: {
  readonly running: readonly number[];
  readonly regulating: readonly number[];
}): number {
  const duty = (part: number) => (100 * running[part]!) / Math.max(1, regulating[part]!);
  return duty(1) - duty(0);
}

/** Runs a control on a box for its days, after its days to settle, and counts. */
export function figuresOf(scenario: Scenario, logger: Logger): DayFigures {
  const run = new UnitRun(scenario, STRIDE);
  const { warmUp, seconds } = scenario;
  const { control, box, drive } = run.standing;
  let read = box.air;
  let [starts, running, regulating, clearing, defrosts] = [0, 0, 0, 0, 0];
  let [sum, max, count] = [0, -Infinity, 0];
  let [was, phaseWas] = [false, 'regulate'];
  let sampled = -warmUp;
  const dayMax: number[] = [];
  const byDay = { running: [0, 0], regulating: [0, 0] };
  let [looked, seen, seenBefore] = [0, 0, false];
  for (let t = -warmUp; t < seconds;) {
    if (t === 0) run.beginCount();
    const passed = run.letQuietPass(t, (t < 0 ? 0 : seconds) - t) || 1;
    if (passed === 1) run.second(t);
    t += passed;
    const { compressor } = drive;
    const { phase } = control;
    if (t >= 0) {
      if (compressor && !was) starts += 1;
      if (phase === 'defrost' && phaseWas !== 'defrost') defrosts += 1;
      if (phase === 'regulate') {
        regulating += passed;
        if (compressor) running += passed;
        const part = isBusiness(scenario.startOfDay + t) ? 1 : 0;
        byDay.regulating[part]! += passed;
        if (compressor) byDay.running[part]! += passed;
      } else if (phase === 'defrost') clearing += passed;
      if (t - looked >= logger.every) {
        looked = t;
        if (compressor && !seenBefore) seen += 1;
        seenBefore = compressor;
      }
    }
    was = compressor;
    phaseWas = phase;
    if (t - sampled < STRIDE) continue;
    read += (box.air - read) * (1 - Math.exp(-(t - sampled) / logger.lag));
    sampled = t;
    if (t < 0) continue;
    sum += read;
    count += 1;
    if (read > max) max = read;
    const day = Math.floor((t - 1) / SECONDS_PER_DAY);
    dayMax[day] = Math.max(dayMax[day] ?? -Infinity, read);
  }
  const { product, iceLeftAfterDefrost, kWhPerDay } = run.count.figures(run.flows);
  return {
    startsPerHour: (starts * 3600) / seconds,
    dutyPercent: (100 * running) / Math.max(1, regulating),
    defrostMinutes: defrosts > 0 ? clearing / defrosts / 60 : null,
    defrostsPerDay: (defrosts * SECONDS_PER_DAY) / seconds,
    airMean: sum / Math.max(1, count) + logger.offset,
    airMax: max + logger.offset,
    airDayMax: dayMax.reduce((a, b) => a + b, 0) / Math.max(1, dayMax.length) + logger.offset,
    startsSeen: (seen * 3600) / seconds,
    dutyRise: riseOf(byDay),
    productMax: product.max,
    iceLeft: iceLeftAfterDefrost,
    energyPerDay: kWhPerDay,
  };
}
