import { parseNumber, printNumber } from '@brine/core/foundation/quantities';

/** Ohms as typed: `9.0k`, `9000`, `1.2 M`, `102.6 Ω`; null where it is none. */
export function readOhms(text: string): number | null {
  const match = /^(.*?)\s*([kM]?)\s*(Ω|Ω|ohms?)?$/i.exec(text.trim());
  const value = match ? parseNumber(match[1]!) : null;
  if (value === null || value <= 0) return null;
  const letter = match![2]!;
  return value * (letter === '' ? 1 : letter.toLowerCase() === 'k' ? 1e3 : 1e6);
}

/** Ohms for a person: `28.70 kΩ`, `814.9 Ω`. */
export function shownOhms(ohms: number): string {
  if (!Number.isFinite(ohms)) return '';
  return ohms >= 9999.5 ? `${printNumber(ohms / 1000, 2)} kΩ` : `${printNumber(ohms, ohms < 200 ? 2 : 0)} Ω`;
}
