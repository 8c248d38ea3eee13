/** Ends of the cells of one line, reused from line to line: cell i lies from `starts[i]` to `ends[i]`. */
export class CellEnds {
  readonly starts: number[] = [];
  readonly ends: number[] = [];
  count = 0;

  /** Parts a line without quotes, `from` to `to` of the text, at a delimiter of one character. Nothing is copied. */
  part(text: string, from: number, to: number, delimiter: string): void {
    let count = 0;
    let at = from;
    for (;;) {
      const found = text.indexOf(delimiter, at);
      const end = found < 0 || found > to ? to : found;
      this.starts[count] = at;
      this.ends[count] = end;
      count += 1;
      if (end === to) break;
      at = end + 1;
    }
    this.count = count;
  }
}

const powers = [1, 10, 100, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9];
const MOST_DIGITS = 15;

/**
 * A plain decimal number out of a text, without copying it: sign, digits, one decimal sign. NaN for anything else (blanks, words, exponents), which is
 * looked at more closely then. Up to 15 digits and 9 places it is the number that `Number` would give: both parts are exact, one division rounds once.
 */
export function plainNumber(text: string, from: number, to: number, decimal: number): number {
  let at = from;
  let sign = 1;
  const first = text.charCodeAt(at);
  if (first === 45 || first === 43) {
    if (first === 45) sign = -1;
    at += 1;
  }
  let digits = 0;
  let value = 0;
  let places = -1;
  for (; at < to; at += 1) {
    const c = text.charCodeAt(at);
    if (c >= 48 && c <= 57) {
      value = value * 10 + c - 48;
      digits += 1;
      if (places >= 0) places += 1;
    } else if (c === decimal && places < 0) places = 0;
    else return Number.NaN;
  }
  if (digits === 0 || digits > MOST_DIGITS || places > 9) return Number.NaN;
  return (sign * value) / powers[Math.max(0, places)]!;
}
