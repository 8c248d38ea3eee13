/**
 * What seven segments can show. The segments have their usual letters: a on top, then round by the right, b, c, d below, e, f on the left, g in the middle.
 * A pattern is a number of seven bits, a the lowest.
 */
export const SEGMENTS = ['a', 'b', 'c', 'd', 'e', 'f', 'g'] as const;
export type Segment = (typeof SEGMENTS)[number];

/** The ways a character is drawn, the usual one first. Source: common practice of controls' displays. */
const DRAWN: Readonly<Record<string, readonly string[]>> = {
  ' ': [''],
  '0': ['abcdef'],
  '1': ['bc'],
  '2': ['abdeg'],
  '3': ['abcdg'],
  '4': ['bcfg'],
  '5': ['acdfg'],
  '6': ['acdefg', 'cdefg'],
  '7': ['abc', 'abcf'],
  '8': ['abcdefg'],
  '9': ['abcdfg', 'abcfg'],
  '-': ['g'],
  _: ['d'],
  '=': ['dg'],
  '°': ['abfg'],
  A: ['abcefg'],
  B: ['cdefg'],
  C: ['adef', 'deg'],
  D: ['bcdeg'],
  E: ['adefg'],
  F: ['aefg'],
  G: ['acdef'],
  H: ['bcefg', 'cefg'],
  I: ['bc'],
  J: ['bcd', 'bcde'],
  L: ['def'],
  N: ['ceg', 'abcef'],
  O: ['abcdef', 'cdeg'],
  P: ['abefg'],
  Q: ['abcfg'],
  R: ['eg'],
  S: ['acdfg'],
  T: ['defg'],
  U: ['bcdef', 'cde'],
  Y: ['bcdfg'],
  Z: ['abdeg'],
};

const bits = (drawn: string): number =>
  [...drawn].reduce((sum, segment) => sum | (1 << SEGMENTS.indexOf(segment as Segment)), 0);

const byPattern = new Map<number, string>();
for (const [character, ways] of Object.entries(DRAWN))
  ways.forEach((way) => {
    // Digits come first, and the usual way before the others: what stands already stays.
    if (!byPattern.has(bits(way))) byPattern.set(bits(way), character);
  });

/** The character that a pattern shows, digits before letters that look alike; null where no control shows it. */
export const characterOf = (pattern: number): string | null => byPattern.get(pattern) ?? null;

/** The patterns by which a character may be shown; empty where seven segments cannot show it. */
export const patternsOf = (character: string): readonly number[] =>
  (DRAWN[character === '−' ? '-' : character] ?? DRAWN[character.toUpperCase()] ?? []).map(bits);

/** One digit of a display: its segments, and whether the point behind it is lit. */
export interface Digit {
  readonly pattern: number;
  readonly point: boolean;
}

/**
 * The text of a display, without the dark digits on either side and without a point behind the last one, which many controls use as a lamp; null
 * where a digit shows no character, or a dark one has a point or lies between lit ones, or there are two points.
 */
export function textOf(digits: readonly Digit[]): string | null {
  let text = '';
  for (const { pattern, point } of digits) {
    const character = characterOf(pattern);
    if (character === null || (point && character === ' ')) return null;
    text += point ? `${character}.` : character;
  }
  text = text.trim().replace(/\.$/, '');
  return text.includes(' ') || text.indexOf('.') !== text.lastIndexOf('.') ? null : text;
}

/** Whether a display that shows `seen` may stand for `meant`: letters that segments draw alike (5 and S, 0 and O) are the same, signs that no segments draw (: / %) are passed over; a letter that none draw (K, M, W) is never shown. */
export function showsAs(seen: string, meant: string): boolean {
  const drawn = (text: string) =>
    [...text.replaceAll('−', '-').toUpperCase().trim()].filter(
      (character) => /[.\p{L}]/u.test(character) || patternsOf(character).length > 0,
    );
  const [one, other] = [drawn(seen), drawn(meant)];
  return (
    one.length === other.length &&
    one.every((character, i) => {
      if (character === '.' || other[i] === '.') return character === other[i];
      const ways = patternsOf(other[i]!);
      return patternsOf(character).some((way) => ways.includes(way));
    })
  );
}

/** The number a display shows, or null where it shows none: “-18.4”, “3.”. */
export function numberOf(text: string): number | null {
  return /^-?\d+\.?\d*$/.test(text) ? Number(text) : null;
}
