import type { Log } from '@brine/core/logs/reading';

/** The days a log touches, by the second each begins; the first begins at the midnight before it. */
export function daysOf(log: Log): readonly number[] {
  const first = Math.floor(log.time[0]! / 86400) * 86400;
  const count = Math.min(400, Math.ceil((log.time.at(-1)! - first) / 86400));
  return Array.from({ length: Math.max(1, count) }, (_, i) => first + i * 86400);
}
