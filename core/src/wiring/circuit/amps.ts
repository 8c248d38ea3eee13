/** Line amps and ohms of a resistive load. */
export interface AmpsAndOhms {
  readonly amps: number;
  readonly ohms: number;
}

/**
 * Amps and ohms of a heater or another resistive load from its plate. One phase: I = P / U, R = U² / P. Three phases: line amps
 * P / (√3·U), ohms between two line terminals 2·U² / P, which is the same for star and delta. 1800 W at 240 V: 7.5 A, 32 Ω.
 */
export function ampsOf(watts: number, volts: number, phases: 1 | 3 = 1): AmpsAndOhms {
  return phases === 3
    ? { amps: watts / (Math.sqrt(3) * volts), ohms: (2 * volts ** 2) / watts }
    : { amps: watts / volts, ohms: volts ** 2 / watts };
}
