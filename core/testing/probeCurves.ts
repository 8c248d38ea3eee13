import { ZERO_CELSIUS_K } from '../src/foundation/limits/index.ts';
import { ohmsAt, type Curve } from '../src/foundation/probes/curve.ts';
import type { TablePoint } from '../src/foundation/probes/table.ts';

/** Steinhart and Hart through three points, the closed form of their linear system. Points must differ in temperature and ohms. */
export function steinhartThrough(
  points: readonly [TablePoint, TablePoint, TablePoint],
): Extract<Curve, { kind: 'steinhartHart' }> {
  const [l1, l2, l3] = points.map((p) => Math.log(p.ohms)) as [number, number, number];
  const [y1, y2, y3] = points.map((p) => 1 / (p.degC + ZERO_CELSIUS_K)) as [number, number, number];
  const g2 = (y2 - y1) / (l2 - l1);
  const g3 = (y3 - y1) / (l3 - l1);
  const c = (g3 - g2) / (l3 - l2) / (l1 + l2 + l3);
  const b = g2 - c * (l1 ** 2 + l1 * l2 + l2 ** 2);
  return { kind: 'steinhartHart', a: y1 - (b + l1 ** 2 * c) * l1, b, c };
}

/** Change of resistance for one kelvin at a temperature, Ω/K. */
export const slopeAt = (curve: Curve, celsius: number) =>
  (ohmsAt(curve, celsius + 0.05) - ohmsAt(curve, celsius - 0.05)) / 0.1;
