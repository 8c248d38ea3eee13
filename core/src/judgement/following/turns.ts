import type { FollowedPoint, WithError } from './point.ts';

/** Outputs that are followed. */
export type Output = 'compressor' | 'fan' | 'defrost';

/** An output that went on or off between two looks: when, the temperatures then, and whether it was looked at all the while. */
export interface Turn {
  readonly output: Output;
  readonly on: boolean;
  readonly at: WithError;
  readonly air: WithError | null;
  readonly coil: WithError | null;
}

/** Every turn of the outputs, in order. Where the controller did not answer between two looks the moment is only known to lie between them. */
export function turnsOf(points: readonly FollowedPoint[]): readonly Turn[] {
  const turns: Turn[] = [];
  for (const output of ['compressor', 'fan', 'defrost'] as const) {
    let last: FollowedPoint | null = null;
    for (const point of points) {
      const is = point.readings?.[output];
      if (typeof is !== 'boolean') continue;
      const before = last;
      if (before && before.readings![output] !== is)
        turns.push({
          output,
          on: is,
          at: between(before.at, point.at),
          air: temperatureBetween(before, point, 'air'),
          coil: temperatureBetween(before, point, 'coil'),
        });
      last = point;
    }
  }
  return turns.sort((a, b) => a.at.value - b.at.value);
}

/** A controller tells tenths: half of one is never known. */
const ROUNDED = 0.05;

function temperatureBetween(a: FollowedPoint, b: FollowedPoint, of: 'air' | 'coil'): WithError | null {
  const [x, y] = [a.readings?.[of], b.readings?.[of]];
  if (typeof x !== 'number' || typeof y !== 'number') return null;
  const { value, plusMinus } = between(x, y);
  return { value, plusMinus: plusMinus + ROUNDED };
}

const between = (a: number, b: number): WithError => ({ value: (a + b) / 2, plusMinus: Math.abs(b - a) / 2 });
