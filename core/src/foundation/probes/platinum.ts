/** IEC 60751:2008/2022, characteristic equation (clause 4), from memory; checked against nineteen printed values. */
const A = 3.9083e-3;
const B = -5.775e-7;
const C = -4.183e-12;

/** R = R0(1 + At + Bt²), below 0 °C with C(t − 100)t³ besides. Range −200 to 850 °C. Pt100 at 100 °C: 138.51 Ω. */
export function platinumOhms(ohmsAt0: number, celsius: number): number {
  const cold = celsius < 0 ? C * (celsius - 100) * celsius ** 3 : 0;
  return ohmsAt0 * (1 + A * celsius + B * celsius ** 2 + cold);
}

/** Its inverse, °C: the quadratic from 0 °C up, Newton's steps below; null where no temperature from −200 to 850 °C gives these ohms. */
export function platinumCelsius(ohmsAt0: number, ohms: number): number | null {
  const ratio = ohms / ohmsAt0;
  const root = A ** 2 - 4 * B * (1 - ratio);
  if (root < 0) return null;
  let t = (-A + Math.sqrt(root)) / (2 * B);
  if (ratio < 1)
    for (let i = 0; i < 12; i += 1) {
      const slope = A + 2 * B * t + C * (4 * t ** 3 - 300 * t ** 2);
      t -= (platinumOhms(1, t) - ratio) / slope;
    }
  return t >= -200 && t <= 850 ? t : null;
}

/** Tolerance classes of IEC 60751 (clause 5, from memory), K, at a temperature in °C. */
export const platinumClasses = ['AA', 'A', 'B', 'C'] as const;
export type PlatinumClass = (typeof platinumClasses)[number];

/** |Δt| = a + b·|t|: AA 0.1 + 0.0017, A 0.15 + 0.002, B 0.3 + 0.005, C 0.6 + 0.01. */
export function platinumTolerance(accuracy: PlatinumClass, celsius: number): number {
  const [a, b] = { AA: [0.1, 0.0017], A: [0.15, 0.002], B: [0.3, 0.005], C: [0.6, 0.01] }[accuracy] as [
    number,
    number,
  ];
  return a + b * Math.abs(celsius);
}
