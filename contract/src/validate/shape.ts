/** What is wrong, and where: `.text`, `.rows[3].value`. */
export interface ShapeProblem {
  readonly path: string;
  readonly message: string;
}

/** Half of a character: a surrogate without its other. */
const HALF = /\p{Surrogate}/u;

interface Waiting {
  readonly value: unknown;
  readonly path: string;
  readonly depth: number;
}

/**
 * The first thing in a JSON value that no store can keep and no schema must walk into: a text with NUL or half a character, a number past
 * the range, nesting or a count beyond the limits. Null where there is none. A loop, not a recursion: depth is what is being judged.
 */
export function shapeProblem(
  value: unknown,
  most: { readonly depth: number; readonly values: number },
): ShapeProblem | null {
  const waiting: Waiting[] = [{ value, path: '', depth: 0 }];
  let seen = 0;
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    seen += 1;
    if (seen > most.values) return { path: '', message: `expected at most ${most.values} values` };
    const { path, depth } = next;
    const wrong = unstorable(next.value);
    if (wrong !== null) return { path, message: wrong };
    if (typeof next.value !== 'object' || next.value === null) continue;
    if (depth >= most.depth)
      return { path: '', message: `expected at most ${most.depth} levels, one in another` };
    if (Array.isArray(next.value)) {
      if (next.value.length + seen > most.values)
        return { path: '', message: `expected at most ${most.values} values` };
      for (const [i, item] of next.value.entries())
        waiting.push({ value: item, path: `${path}[${i}]`, depth: depth + 1 });
    } else
      for (const [key, item] of Object.entries(next.value)) {
        const odd =
          key in Object.prototype ? `${key} is a name of the language; expected another` : unstorable(key);
        if (odd !== null) return { path, message: `a field’s name: ${odd}` };
        waiting.push({ value: item, path: `${path}.${key.slice(0, 60)}`, depth: depth + 1 });
      }
  }
  return null;
}

/** Why a text or a number cannot be stored, or null. */
export function unstorable(value: unknown): string | null {
  if (typeof value === 'number' && !Number.isFinite(value)) return 'the number is out of range';
  if (typeof value !== 'string') return null;
  if (value.includes('\0')) return 'the text holds a character NUL; expected none';
  return !HALF.test(value) ? null : 'the text ends in, or holds, half a character; expected whole ones';
}
