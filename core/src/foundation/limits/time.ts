/** Seconds of a day; a day in milliseconds. Exact by definition. */
export const SECONDS_PER_DAY = 86_400;
export const MILLISECONDS_PER_DAY = 86_400_000;
