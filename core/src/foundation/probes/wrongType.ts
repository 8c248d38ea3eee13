import { celsiusAt, ohmsAt } from './curve.ts';
import { menuSensors, OPEN_OHMS, otherSensors, SHORT_OHMS, type Sensor } from './sensors.ts';

/** What a control shows when one sensor hangs on it and another stands in its menu. */
export type Shown =
  | { readonly shows: 'temperature'; readonly celsius: number }
  | { readonly shows: 'open' }
  | { readonly shows: 'short' };

/** Displays end somewhere: beyond these a control reports its probe as failed (common practice). */
const LOWEST_C = -60;
const HIGHEST_C = 150;

/** What the display reads, °C, with `fitted` at a true temperature and `set` in the menu. B 3435 at −20 °C read as B 3977: −14.68 °C. */
export function readsWith(fitted: Sensor, set: Sensor, trueC: number): Shown {
  return shownFor(set, ohmsAt(fitted.curve, trueC));
}

/** What a control set to a sensor shows for these ohms. A resistance beyond its range shows as open or short, by the way its curve runs. */
export function shownFor(set: Sensor, ohms: number): Shown {
  if (ohms < SHORT_OHMS) return { shows: 'short' };
  if (ohms > OPEN_OHMS) return { shows: 'open' };
  const celsius = celsiusAt(set.curve, ohms);
  if (celsius !== null && celsius >= LOWEST_C && celsius <= HIGHEST_C)
    return { shows: 'temperature', celsius };
  return { shows: ohms > ohmsAt(set.curve, 25) ? 'open' : 'short' };
}

/** A pair of sensor fitted and type set that would explain a strange reading. */
export interface Mismatch {
  readonly fitted: Sensor;
  readonly set: Sensor;
  /** What the display would read then, less what it does read, K. */
  readonly missK: number;
}

/**
 * From a strange display to the likely wrong type: every pair of fitted and set sensor that would show within `withinK` of what stands there,
 * nearest first, commoner pairs first where they tie. The right type appears too where the reading is right: then nothing is wrong.
 */
export function explainReading(
  displayC: number,
  trueC: number,
  set: Sensor | null = null,
  withinK = 3,
): readonly Mismatch[] {
  const fitted = [...menuSensors, ...otherSensors];
  return (set ? [set] : menuSensors)
    .flatMap((s) => fitted.map((f) => ({ fitted: f, set: s, shown: readsWith(f, s, trueC) })))
    .flatMap(({ fitted: f, set: s, shown }) =>
      shown.shows === 'temperature' && Math.abs(shown.celsius - displayC) <= withinK
        ? [{ fitted: f, set: s, missK: shown.celsius - displayC }]
        : [],
    )
    .sort(
      (a, b) =>
        Math.abs(a.missK) - Math.abs(b.missK) || b.fitted.share * b.set.share - a.fitted.share * a.set.share,
    );
}
