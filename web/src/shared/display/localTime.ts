const two = (n: number) => String(n).padStart(2, '0');

/** The date of an instant on this device's clock, `2026-11-24`. */
export function localDate(iso: string): string {
  const at = new Date(iso);
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** The time of day of an instant on this device's clock, `08:10`. */
export function localTime(iso: string): string {
  const at = new Date(iso);
  return `${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** Date and time on this device's clock, `2026-11-24 08:10`. */
export const localDateTime = (iso: string): string => `${localDate(iso)} ${localTime(iso)}`;

/** The same with seconds, as files have it: `2026-11-24 08:10:05`. */
export const localSecond = (iso: string): string =>
  `${localDateTime(iso)}:${two(new Date(iso).getSeconds())}`;

/** Seconds as a stopwatch shows them, `3:04`. */
export const stopwatch = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${two(Math.floor(seconds % 60))}`;
