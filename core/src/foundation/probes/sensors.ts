import type { Curve } from './curve.ts';

/** A kind of sensor by name, with its curve and how common it is on refrigeration controls. */
export interface Sensor {
  readonly id: string;
  readonly name: string;
  readonly curve: Curve;
  /** Of a hundred probes met, about so many (common practice, from memory). */
  readonly share: number;
  /** Tolerance of a usual specimen as a temperature, K, near 0 °C. */
  readonly toleranceK: number;
}

/** The four curves a control's menu offers, by the dictionary's names. */
export const menuSensors: readonly Sensor[] = [
  {
    id: 'ntc10k',
    name: 'NTC 10 kΩ, B 3435',
    curve: { kind: 'ntcBeta', ohmsAt25: 10000, beta: 3435 },
    share: 60,
    toleranceK: 0.5,
  },
  {
    id: 'ptc1k',
    name: 'PTC 1 kΩ, silicon',
    curve: { kind: 'siliconPtc', ohmsAt25: 1000 },
    share: 18,
    toleranceK: 1,
  },
  {
    id: 'pt1000',
    name: 'platinum 1000 Ω',
    curve: { kind: 'platinum', ohmsAt0: 1000 },
    share: 10,
    toleranceK: 0.3,
  },
  {
    id: 'pt100',
    name: 'platinum 100 Ω',
    curve: { kind: 'platinum', ohmsAt0: 100 },
    share: 3,
    toleranceK: 0.3,
  },
];

/** Others that are met, by their parameters; no menu of the library offers them. */
export const otherSensors: readonly Sensor[] = [
  {
    id: 'ntc10k3977',
    name: 'NTC 10 kΩ, B 3977',
    curve: { kind: 'ntcBeta', ohmsAt25: 10000, beta: 3977 },
    share: 4,
    toleranceK: 0.5,
  },
  {
    id: 'ntc5k3977',
    name: 'NTC 5 kΩ, B 3977',
    curve: { kind: 'ntcBeta', ohmsAt25: 5000, beta: 3977 },
    share: 2,
    toleranceK: 0.5,
  },
  {
    id: 'ntc2k3977',
    name: 'NTC 2 kΩ, B 3977',
    curve: { kind: 'ntcBeta', ohmsAt25: 2000, beta: 3977 },
    share: 1,
    toleranceK: 0.5,
  },
  {
    id: 'ptc990',
    name: 'PTC 990 Ω, silicon',
    curve: { kind: 'siliconPtc', ohmsAt25: 990 },
    share: 2,
    toleranceK: 1,
  },
];

/** The sensor with that id, among all. */
export const sensorOf = (id: string): Sensor | undefined =>
  [...menuSensors, ...otherSensors].find((sensor) => sensor.id === id);

/** Below so many ohms a probe is shorted, above so many it is open. */
export const SHORT_OHMS = 10;
export const OPEN_OHMS = 1e6;

/** Resistivity of annealed copper at 20 °C, Ω·mm²/m (IEC 60028). */
const COPPER = 0.017241;

/** Resistance of a two-wire lead there and back, Ω: 2·ρ·L/A. 20 m of 0.5 mm²: 1.38 Ω. */
export const leadOhms = (metres: number, squareMm: number) => (2 * COPPER * metres) / squareMm;
