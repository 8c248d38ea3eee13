/** First days of the months that hold a reading, `2026-04-01`. A month without one gets no partition. `time`: seconds since 1970, rising. */
export function monthsOf(time: Float64Array): readonly string[] {
  const months: string[] = [];
  let next = Number.NEGATIVE_INFINITY;
  for (const seconds of time) {
    if (seconds < next) continue;
    const at = new Date(seconds * 1000);
    months.push(firstOfMonth(at, 0));
    next = Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + 1, 1) / 1000;
  }
  return months;
}

/** The first day of the month so many after the one of a moment (UTC), `2026-04-01`. */
export function firstOfMonth(at: Date, after: number): string {
  return new Date(Date.UTC(at.getUTCFullYear(), at.getUTCMonth() + after, 1)).toISOString().slice(0, 10);
}
