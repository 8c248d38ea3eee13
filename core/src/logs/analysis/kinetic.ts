import { ZERO_CELSIUS_K } from '../../foundation/limits/index.ts';
/** Activation energy over the gas constant: 83.144 kJ/mol over 8.3144 J/(mol·K), K (USP <1079>, from memory; Haynes 1971). */
const H_OVER_R = 10000;

/**
 * Mean kinetic temperature, °C: the one temperature that would do the same harm, (ΔH/R) / −ln(mean of exp(−ΔH/(R·T))). Every reading counts alike;
 * missing ones do not count. NaN of none. 2 °C and 8 °C for equal times: 5.54 °C.
 */
export function meanKineticTemperature(celsius: ArrayLike<number>): number {
  let sum = 0;
  let count = 0;
  for (let i = 0; i < celsius.length; i += 1) {
    const t = celsius[i]!;
    if (t !== t) continue;
    sum += Math.exp(-H_OVER_R / (t + ZERO_CELSIUS_K));
    count += 1;
  }
  return count === 0 ? Number.NaN : H_OVER_R / -Math.log(sum / count) - ZERO_CELSIUS_K;
}
