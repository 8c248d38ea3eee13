import { templates } from '../../machines/box/index.ts';
import type { Scenario } from '../../machines/simulation/index.ts';

/** An empty box as it stands when it is commissioned, and how far a real one may be from it: goods left inside, insulation, ambient (common practice). */
const boxes = {
  slow: { goodsFactor: 0.2, insulationFactor: 0.75, warmer: 2 },
  likely: { goodsFactor: 0.06, insulationFactor: 1, warmer: 0 },
  quick: { goodsFactor: 0.02, insulationFactor: 1.2, warmer: -2 },
} as const;
export type CommissionedBox = keyof typeof boxes;

/** The air around a unit, °C. */
export const ambientOf = ({ choice, template }: Scenario): number =>
  choice.ambient ?? templates[template].ambient;

/** A unit's day as that of a box that is commissioned: little in it, its door shut, all of it at one temperature, in the morning. A tank's water is its goods: it is never empty. */
export function commissioned(day: Scenario, box: CommissionedBox, startAt: number): Scenario {
  const { goodsFactor, insulationFactor, warmer } = boxes[box];
  return {
    ...day,
    choice: {
      ...day.choice,
      ambient: ambientOf(day) + warmer,
      goodsFactor: day.tank ? 1 : goodsFactor,
      insulationFactor,
    },
    doorUse: 'shut',
    startAt,
    warmUp: 0,
    startOfDay: 9 * 3600,
  };
}
