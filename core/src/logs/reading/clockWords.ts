import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import type { LogClock } from './log.ts';
import { zoneClock } from './zone.ts';

const days = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A log's time as its clock showed it, for a person: `Tuesday 14 Apr, 14:10`; an elapsed time as `day 2, 14:10`. */
export function clockWords(clock: LogClock, seconds: number): string {
  if (clock.kind === 'elapsed')
    return `day ${Math.floor(seconds / SECONDS_PER_DAY) + 1}, ${new Date((seconds % SECONDS_PER_DAY) * 1000).toISOString().slice(11, 16)}`;
  const at = new Date((seconds + shown(clock, seconds)) * 1000);
  return `${days[at.getUTCDay()]} ${at.getUTCDate()} ${months[at.getUTCMonth()]}, ${at.toISOString().slice(11, 16)}`;
}

/** The same as ISO 8601: as written without offset, true time with `Z`, seconds as a number's text. */
export function clockIso(clock: LogClock, seconds: number): string {
  if (clock.kind === 'elapsed') return String(seconds);
  const text = new Date(seconds * 1000).toISOString().slice(0, 19);
  return clock.kind === 'true' ? `${text}Z` : text;
}

const shown = (clock: LogClock, seconds: number) =>
  clock.kind === 'true' && clock.zone ? (zoneClock(clock.zone)?.offsetAt(seconds) ?? 0) : 0;
