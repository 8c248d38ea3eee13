/** What reads a temperature at a cabinet. */
export const instrumentKinds = ['display', 'thermometer', 'gun', 'logger', 'product'] as const;
export type InstrumentKind = (typeof instrumentKinds)[number];

/** Where it reads. */
export const instrumentPlaces = ['returnAir', 'supplyAir', 'boxAir', 'door', 'goods', 'surface'] as const;
export type InstrumentPlace = (typeof instrumentPlaces)[number];

/** An instrument with what it reads now. */
export interface InstrumentReading {
  readonly id: string;
  readonly kind: InstrumentKind;
  readonly place: InstrumentPlace;
  /** °C. */
  readonly reads: number;
  /** Largest error its maker or its certificate states, K; null: the usual of its kind. */
  readonly accuracyK: number | null;
  /** Time constant, s; null: the usual of its kind. */
  readonly lag: number | null;
  /** Since it was last compared with a reference, months; null: nobody knows. */
  readonly monthsSinceCheck: number | null;
}

interface Usual {
  readonly name: string;
  /** Largest error, K. */
  readonly accuracyK: number;
  /** Time constant, s. */
  readonly lag: number;
  /** How often one is found to be wrong by more than that. */
  readonly wrong: number;
}

/**
 * What is usual of each kind. Accuracies: common practice, of the data sheets of their kinds (a probe and its control ±1 K, a digital thermometer and a product probe ±0.5 K, a recorder of class 0.5, an infrared thermometer ±2 K). Lags:
 * common practice, in moving air. How often one is wrong: from memory of field reports, an order of size and no more; a forgotten offset and a probe of the wrong type make the display the most frequent.
 */
export const usualOfKind: Readonly<Record<InstrumentKind, Usual>> = {
  display: { name: 'The display', accuracyK: 1, lag: 60, wrong: 0.2 },
  thermometer: { name: 'The thermometer', accuracyK: 0.5, lag: 30, wrong: 0.08 },
  gun: { name: 'The infrared gun', accuracyK: 2, lag: 0, wrong: 0.2 },
  logger: { name: 'The logger', accuracyK: 0.5, lag: 300, wrong: 0.08 },
  product: { name: 'The product probe', accuracyK: 0.5, lag: 0, wrong: 0.1 },
};

/** The share by which an instrument may have drifted in a year without a check: a tenth of a kelvin (common practice for a thermistor in cold air). */
const DRIFT_K_PER_YEAR = 0.1;
/** Where nobody knows when it was checked, this long ago is assumed, months. */
const UNKNOWN_MONTHS = 36;

/** Standard deviation of an honest instrument, K: half of what it may be off at most, as a normal spread of two sides, and its drift since the last check in quadrature. */
export function honestSpread({ kind, accuracyK, monthsSinceCheck }: InstrumentReading): number {
  const half = (accuracyK ?? usualOfKind[kind].accuracyK) / 2;
  return Math.hypot(half, (DRIFT_K_PER_YEAR * (monthsSinceCheck ?? UNKNOWN_MONTHS)) / 12);
}

/** How likely an instrument is wrong before anything was read: the usual of its kind, less after a check of this year, more without one. */
export function wrongBefore({ kind, monthsSinceCheck }: InstrumentReading): number {
  const years = (monthsSinceCheck ?? UNKNOWN_MONTHS) / 12;
  return Math.min(0.5, usualOfKind[kind].wrong * Math.min(2, 0.5 + 0.5 * years));
}

export const lagOf = ({ kind, lag }: InstrumentReading): number => lag ?? usualOfKind[kind].lag;
