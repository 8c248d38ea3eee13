import { expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import { zoneClock } from './zone.ts';

/** What a clock on the wall shows, asked of the platform each time: a second way, without anything held. */
function shown(zone: string, trueSeconds: number): number {
  const parts = new Intl.DateTimeFormat('en-GB', {
    timeZone: zone,
    hourCycle: 'h23',
    dateStyle: 'short',
    timeStyle: 'medium',
  }).formatToParts(new Date(trueSeconds * 1000));
  const of = (type: string) => Number(parts.find((part) => part.type === type)!.value);
  return Date.UTC(of('year'), of('month') - 1, of('day'), of('hour'), of('minute'), of('second')) / 1000;
}

// Changes by an hour and by half an hour, none, in both halves of the year, and a zone that changes four times a year.
test.each([
  'Europe/Lisbon',
  'America/St_Johns',
  'Australia/Lord_Howe',
  'Asia/Kolkata',
  'Africa/Casablanca',
  'Pacific/Auckland',
])(
  '%s: a log of two years in order comes back to the true time of each row',
  (zone) => {
    const random = seeded(20 + zone.length);
    const clock = zoneClock(zone)!;
    let before = Number.NEGATIVE_INFINITY;
    for (
      let at = Date.UTC(2024, 0, 1) / 1000;
      at < Date.UTC(2026, 0, 1) / 1000;
      at += 60 * (1 + Math.floor(random() * 240))
    ) {
      const local = shown(zone, at);
      const read = clock.toTrue(local, before);
      // In a repeated hour two true times show the same: the row's own, or the first of the two that is not before the last row.
      expect(shown(zone, read)).toBe(local);
      if (read !== at) expect([3600, 1800]).toContain(Math.abs(read - at));
      before = read;
    }
  },
  60_000,
);

test('rows that jump by years, there and back, are read as if each stood alone', () => {
  const random = seeded(2323);
  const clock = zoneClock('Europe/Lisbon')!;
  for (let i = 0; i < 2000; i += 1) {
    const at = Math.floor((Date.UTC(2000, 0, 1) / 1000 + random() * 35 * 365 * 86_400) / 60) * 60;
    const local = shown('Europe/Lisbon', at);
    expect(shown('Europe/Lisbon', clock.toTrue(local, Number.NEGATIVE_INFINITY))).toBe(local);
  }
});
