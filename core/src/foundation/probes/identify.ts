import { celsiusAt, ohmsAt } from './curve.ts';
import { menuSensors, OPEN_OHMS, SHORT_OHMS, type Sensor } from './sensors.ts';

/** Ohms measured on a probe that has a known temperature. */
export interface OhmsAtTemperature {
  readonly ohms: number;
  readonly celsius: number;
}

/** A kind of sensor weighed against the readings. `reads` and `error` belong to the reading that fits worst. */
export interface Candidate {
  readonly sensor: Sensor;
  readonly expectedOhms: number;
  readonly readsC: number | null;
  readonly errorK: number | null;
  /** Odds that it is this one, 0 to 1; what is missing to 1 is a kind not listed. */
  readonly odds: number;
}

export interface Identified {
  readonly verdict: 'match' | 'none' | 'open' | 'short';
  /** Nearest first. */
  readonly candidates: readonly Candidate[];
}

/** Within so many K a probe is taken to be of that kind. */
export const MATCH_K = 3;
/** Uncertainty of the thermometer beside the probe and of the meter, as one standard deviation. */
const THERMOMETER_K = 0.7;
const METER = 0.01;
/** Of a hundred probes met, so many are of no kind listed; they read anything within 150 K alike. */
const UNLISTED_SHARE = 4;
const UNLISTED_SPAN_K = 150;

/**
 * Which sensor it is, from one or more readings of ohms at a known temperature, lead resistance taken off. Odds weigh each kind by how common
 * it is and by a normal error of thermometer, meter and specimen. 9.0 kΩ at 27 °C: NTC 10 kΩ, which would read 27.75 °C.
 */
export function identify(
  readings: readonly OhmsAtTemperature[],
  sensors: readonly Sensor[] = menuSensors,
  leadOhmsThere = 0,
): Identified {
  const measured = readings.map((r) => ({ ...r, ohms: Math.max(r.ohms - leadOhmsThere, 1e-9) }));
  const broken = readings.some((r) => r.ohms < SHORT_OHMS)
    ? 'short'
    : readings.some((r) => r.ohms > OPEN_OHMS)
      ? 'open'
      : null;
  const weighed = sensors.map((sensor) => weigh(sensor, measured));
  const unlisted = (UNLISTED_SHARE / 100) * (1 / UNLISTED_SPAN_K) ** measured.length;
  const total = weighed.reduce((sum, w) => sum + w.weight, unlisted);
  const candidates = weighed
    .map(({ candidate, weight }) => ({ ...candidate, odds: broken ? 0 : weight / total }))
    .sort((a, b) => Math.abs(a.errorK ?? Infinity) - Math.abs(b.errorK ?? Infinity));
  const first = candidates[0]?.errorK ?? null;
  return {
    verdict: broken ?? (first !== null && Math.abs(first) <= MATCH_K ? 'match' : 'none'),
    candidates,
  };
}

function weigh(sensor: Sensor, readings: readonly OhmsAtTemperature[]) {
  const errors = readings.map((r) => {
    const reads = celsiusAt(sensor.curve, r.ohms);
    return { reading: r, reads, error: reads === null ? null : reads - r.celsius };
  });
  const worst = errors.reduce((a, b) =>
    Math.abs(b.error ?? Infinity) > Math.abs(a.error ?? Infinity) ? b : a,
  );
  const likelihood = errors.reduce((product, { reading, error }) => {
    if (error === null) return 0;
    const perOhm = Math.abs(
      (celsiusAt(sensor.curve, reading.ohms * (1 + METER)) ?? Infinity) - reading.celsius - error,
    );
    const sigma = Math.hypot(THERMOMETER_K, sensor.toleranceK, perOhm);
    return product * (Math.exp(-0.5 * (error / sigma) ** 2) / (sigma * Math.sqrt(2 * Math.PI)));
  }, 1);
  return {
    weight: (sensor.share / 100) * likelihood,
    candidate: {
      sensor,
      expectedOhms: ohmsAt(sensor.curve, worst.reading.celsius),
      readsC: worst.reads,
      errorK: worst.error,
    },
  };
}
