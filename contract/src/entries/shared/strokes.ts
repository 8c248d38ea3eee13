const MAX_STROKES = 200;
const MAX_NUMBERS = 6000;

/** What is wrong with the strokes of a signature, or null. */
export function strokesProblem(value: unknown): string | null {
  if (!Array.isArray(value) || value.length > MAX_STROKES)
    return `expected a list of at most ${MAX_STROKES} lines`;
  let numbers = 0;
  for (const line of value as unknown[]) {
    if (!Array.isArray(line) || line.length % 2 !== 0) return 'expected lines of x and y from 0 to 1';
    numbers += line.length;
    if (numbers > MAX_NUMBERS) return `expected at most ${MAX_NUMBERS / 2} points`;
    if (!line.every((n) => typeof n === 'number' && n >= 0 && n <= 1))
      return 'expected lines of x and y from 0 to 1';
  }
  return null;
}
