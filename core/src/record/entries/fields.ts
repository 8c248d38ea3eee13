/** The fields of a body that came over the wire. */
export type Fields = Readonly<Record<string, unknown>>;

/** Longest text one entry may carry, in characters. */
export const LONGEST_TEXT = 2000;
export const LONGEST_CODE = 40;
export const LONGEST_ID = 120;

/** A sentence where a field is no text, or too long a one. */
export function text(f: Fields, field: string, longest: number, mayBeEmpty = false): string | null {
  const value = f[field];
  if (typeof value !== 'string' || (!mayBeEmpty && value.trim() === ''))
    return `body.${field}: expected a text`;
  return value.length > longest
    ? `body.${field}: ${value.length} characters; expected at most ${longest}`
    : null;
}

export const textOrNull = (f: Fields, field: string): string | null =>
  f[field] === null ? null : text(f, field, LONGEST_ID);

export function oneOf(f: Fields, field: string, allowed: readonly string[]): string | null {
  return allowed.includes(f[field] as string) ? null : `body.${field}: expected one of ${allowed.join(', ')}`;
}

/** Parts, wires, loads and records are judged where they are used; here only that they are small plain objects. */
export function record(f: Fields, field: string, longest = LONGEST_TEXT): string | null {
  const value = f[field];
  if (value === null) return null;
  if (typeof value !== 'object' || Array.isArray(value)) return `body.${field}: expected an object or null`;
  return JSON.stringify(value).length > longest
    ? `body.${field}: expected at most ${longest} characters`
    : null;
}

export function yesNo(f: Fields, field: string): string | null {
  return typeof f[field] === 'boolean' ? null : `body.${field}: expected true or false`;
}

export const yesNoOrNull = (f: Fields, field: string): string | null =>
  f[field] === null ? null : yesNo(f, field);

/** A number of any sign, or null. */
export function finiteOrNull(f: Fields, field: string): string | null {
  const value = f[field];
  return value === null || (typeof value === 'number' && Number.isFinite(value))
    ? null
    : `body.${field}: expected a number or null`;
}
