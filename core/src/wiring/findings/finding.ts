/** Codes of the circuit format, with how grave each is. */
export const wiringSeverities = {
  shortCircuit: 'error',
  overVoltage: 'error',
  underVoltage: 'error',
  neutralThroughEarth: 'error',
  contactOverload: 'error',
  heaterWithCompressor: 'error',
  probeOnMains: 'error',
  commonNotFed: 'error',
  controlOnSwitchedSide: 'error',
  backFeed: 'error',
  floatingLoad: 'error',
  fuseBlows: 'error',
  safetyBypassed: 'error',
  wireUndersized: 'error',
  alwaysOn: 'warning',
  neverOn: 'warning',
} as const;

export type WiringCode = keyof typeof wiringSeverities;

/** One thing that is wrong with a circuit: where, in which state (null: over all states), and the figures that say so. */
export interface WiringFinding {
  readonly code: WiringCode;
  readonly severity: 'error' | 'warning' | 'note';
  readonly state: string | null;
  readonly parts: readonly string[];
  readonly message: string;
  readonly numbers: Readonly<Record<string, number>>;
}

/** Builds a finding with the severity of its code. */
export function finding(
  code: WiringCode,
  state: string | null,
  parts: readonly string[],
  message: string,
  numbers: Readonly<Record<string, number>> = {},
): WiringFinding {
  return { code, severity: wiringSeverities[code], state, parts, message, numbers };
}

/** Volts and amps as a sentence shows them. */
export const volts = (value: number) => `${value < 10 ? value.toFixed(1) : value.toFixed(0)} V`;
export const amps = (value: number) =>
  `${value < 0.1 ? value.toFixed(3) : value < 10 ? value.toFixed(2) : value.toFixed(1)} A`;
/** A figure of a finding, rounded to what is worth reading. */
export const figure = (value: number) => Number(value.toPrecision(6));
