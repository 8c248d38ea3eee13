/** Seconds of a minute, an hour, a day; a day in milliseconds. Exact by definition. */
export const SECONDS_PER_MINUTE = 60;
export const SECONDS_PER_HOUR = 3600;
export const SECONDS_PER_DAY = 86_400;
export const MILLISECONDS_PER_DAY = 86_400_000;
