/** Units as they stand in files. Temperatures and differences never share a unit. */
export const temperatureUnits = ['degC', 'degF'] as const;
export const differenceUnits = ['K', 'deltaF'] as const;
export const durationUnits = ['s', 'min', 'h'] as const;
export const otherUnits = ['V', 'A', 'ohm', 'W', '%'] as const;
export const units = [...temperatureUnits, ...differenceUnits, ...durationUnits, ...otherUnits] as const;

export type TemperatureUnit = (typeof temperatureUnits)[number];
export type DifferenceUnit = (typeof differenceUnits)[number];
export type DurationUnit = (typeof durationUnits)[number];
export type Unit = (typeof units)[number];

/** What a unit measures. Two quantities can be compared only within one dimension. */
export type Dimension =
  'temperature' | 'temperatureDifference' | 'duration' | 'volts' | 'amps' | 'ohms' | 'watts' | 'percent';

const dimensions: Readonly<Record<Unit, Dimension>> = {
  degC: 'temperature',
  degF: 'temperature',
  K: 'temperatureDifference',
  deltaF: 'temperatureDifference',
  s: 'duration',
  min: 'duration',
  h: 'duration',
  V: 'volts',
  A: 'amps',
  ohm: 'ohms',
  W: 'watts',
  '%': 'percent',
};

/** True for a unit that files may carry. */
export function isUnit(text: unknown): text is Unit {
  return typeof text === 'string' && Object.hasOwn(dimensions, text);
}

/** The dimension a unit belongs to. */
export function dimensionOf(unit: Unit): Dimension {
  return dimensions[unit];
}
