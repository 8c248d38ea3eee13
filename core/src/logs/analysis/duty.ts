import type { CyclePoint, Cycles } from './cycles.ts';
import type { Defrost } from './defrosts.ts';

/** Where drain is not known, a compressor that starts so soon after a defrost was waiting for it, s. */
const USUAL_DRAIN = 900;

/** Share of the time that the compressor ran, defrost and the wait after it left out. */
export function dutyOf(cycles: Cycles, defrosts: readonly Defrost[], drain: number | null): number | null {
  if (cycles.from === 'air') return fallingShare(cycles.points);
  let [on, all] = [0, 0];
  let next = 0;
  for (const s of cycles.stretches) {
    while (next < defrosts.length && defrosts[next]!.end <= s.from) next += 1;
    let counted = s.to - s.from;
    for (let i = next; i < defrosts.length && defrosts[i]!.start < s.to; i += 1) {
      const { start, end } = defrosts[i]!;
      counted -= Math.min(s.to, end) - Math.max(s.from, start);
      // The rest goes on after the defrost: its first part is drain.
      if (!s.on && end < s.to)
        counted -= Math.min(s.to - end, drain ?? (s.to - end <= USUAL_DRAIN ? s.to - end : 0));
    }
    all += Math.max(0, counted);
    if (s.on) on += Math.max(0, counted);
  }
  return all > 0 ? (100 * on) / all : null;
}

/** Without a compressor column: the share of time in which the air falls from a start to a stop. */
function fallingShare(points: readonly CyclePoint[]): number | null {
  let [on, all] = [0, 0];
  points.slice(1).forEach((point, i) => {
    const before = points[i]!;
    if (before.start === point.start) return;
    all += point.at - before.at;
    if (before.start) on += point.at - before.at;
  });
  return all > 0 ? (100 * on) / all : null;
}
