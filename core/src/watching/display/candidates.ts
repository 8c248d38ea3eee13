import type { Light } from '../light/index.ts';
import { clarityOf } from './clarity.ts';
import { OUTSIDE, beside } from './levels.ts';
import { MAX_DIGITS, moved, type Pose } from './pose.ts';
import type { Row } from './rows.ts';

/** A pose that may be right, and what speaks for it. */
export interface Candidate {
  readonly pose: Pose;
  readonly worth: number;
}

/** How far the middle lines of the upper and lower segments may lie within what is lit, in heights of it. */
const WITHIN = [0.03, 0.07, 0.11] as const;

/** Every size, distance and width of digits on a row, with what it is worth there. */
export function candidatesOn(row: Row): readonly Candidate[] {
  const { picture, from, left, right, top, bottom } = row;
  const tall = bottom - top;
  const rough: Candidate[] = [];
  for (const above of WITHIN)
    for (const below of WITHIN) {
      const [y0, y1] = [top + above * tall - 0.5, bottom - below * tall - 0.5];
      const height = y1 - y0;
      for (let aspect = 0.36; aspect <= 0.74; aspect += 0.045)
        for (let share = 0.5; share <= 0.8; share += 0.05) {
          const wide = aspect * height;
          const pitch = wide / share;
          // The right-most digit ends at the right edge of what is lit, or further on where its right segments, or a point behind it, decide that.
          for (let end = right - pitch * 0.75; end <= right + wide; end += Math.max(1.2, height * 0.045)) {
            const digits = Math.min(
              MAX_DIGITS,
              Math.max(1, Math.ceil((end - left - 1.2 * wide) / pitch + 1)),
            );
            const start = end - wide - (digits - 1) * pitch;
            const worth = roughWorth(picture, start, y0, wide, height, pitch, digits);
            if (worth > 0)
              rough.push({
                pose: { corners: [start, y0, end, y0, end, y1, start, y1], digits, width: share },
                worth,
              });
          }
        }
    }
  return best(rough, 80)
    .map(({ pose }) => ({ pose: inPicture(pose, from), worth: clarityOf(picture, pose) }))
    .filter(({ worth }) => worth > 0);
}

const best = (all: readonly Candidate[], count: number): readonly Candidate[] =>
  [...all].sort((a, b) => b.worth - a.worth).slice(0, count);

function inPicture(pose: Pose, from: Row['from']): Pose {
  const { corners } = pose;
  return moved(pose, (_, i) => {
    const along = i - (i % 2);
    return from(corners[along]!, corners[along + 1]!)[i % 2]! - 0.5;
  });
}

/** One look at the middle of each segment, one at the dark on either side: enough to tell which sizes are worth a nearer look. */
function roughWorth(
  { width, height: rows, data }: Light,
  x0: number,
  y0: number,
  wide: number,
  height: number,
  pitch: number,
  digits: number,
): number {
  const look = (x: number, y: number) => {
    const px = x < 0 ? 0 : x > width - 1 ? width - 1 : (x + 0.5) | 0;
    const py = y < 0 ? 0 : y > rows - 1 ? rows - 1 : (y + 0.5) | 0;
    return data[py * width + px]!;
  };
  const aside = Math.min(pitch - wide, wide) / 2;
  const levels: number[] = [];
  for (let i = 0; i < digits; i += 1) {
    const left = x0 + i * pitch;
    const right = left + wide;
    const middle = left + wide / 2;
    const [upper, lower] = [y0 + height / 4, y0 + (3 * height) / 4];
    const [holeAbove, holeBelow] = [look(middle, upper), look(middle, lower)];
    const held = (level: number, inside: number, outside: number) => level - beside(inside, outside);
    levels.push(
      held(look(middle, y0), holeAbove, look(middle, y0 - OUTSIDE * height)),
      held(look(right, upper), holeAbove, look(right + aside, upper)),
      held(look(right, lower), holeBelow, look(right + aside, lower)),
      held(look(middle, y0 + height), holeBelow, look(middle, y0 + (1 + OUTSIDE) * height)),
      held(look(left, lower), holeBelow, look(left - aside, lower)),
      held(look(left, upper), holeAbove, look(left - aside, upper)),
      held(look(middle, y0 + height / 2), holeAbove, holeBelow),
    );
  }
  const most = Math.max(...levels);
  if (most <= 0) return 0;
  let sum = 0;
  for (const level of levels) {
    const share = level / most;
    sum += share > 0.5 ? share : -Math.max(0.05, Math.abs(share));
  }
  return sum;
}
