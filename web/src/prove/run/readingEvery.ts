/** Readings of a pull-down that come by themselves are written down no more often than this, ms: a curve needs no more, and the record stays readable. */
export const READING_EVERY_MS = 60_000;
