/** Units as booklets print them. */
const units: readonly string[] = [
  '°C',
  '°F',
  'K',
  'min',
  's',
  'h',
  '%',
  'sec',
  'hours',
  'Hz',
  'bar',
  'psi',
  'V',
  'A',
  'flag',
  'num',
];

/** Share of a column's words that must be units before the others are taken for badly read ones. */
const ENOUGH = 0.6;

/**
 * Puts units right that a reader of letters took for something near: `nh` for h, `TC` for °C, in a column where most words are units. Other columns stay as they are.
 *
 * @returns a text for each text
 */
export function likelyUnits(read: readonly string[]): readonly string[] {
  // The sign of a degree is read as the letter or the figure it looks like.
  const texts = read.map((text) =>
    text.replace(/^[o0Oº°]([CF])$/i, (_, letter: string) => `°${letter.toUpperCase()}`),
  );
  const known = texts.filter((text) => units.includes(text));
  if (known.length < 3 || known.length < ENOUGH * texts.length) return read;
  // What the column holds already is likelier than what it does not.
  const used = units.filter((unit) => known.includes(unit));
  return texts.map((text) => {
    if (units.includes(text) || text.length > 6) return text;
    const [nearest] = used
      .map((unit) => ({ unit, changes: changesBetween(text.toLowerCase(), unit.toLowerCase()) }))
      .sort((a, b) => a.changes - b.changes);
    return nearest && nearest.changes <= (nearest.unit.length > 2 ? 2 : 1) ? nearest.unit : text;
  });
}

/** Fewest signs to be put in, left out or replaced (Levenshtein's distance). */
function changesBetween(from: string, to: string): number {
  let row = Array.from({ length: to.length + 1 }, (_, i) => i);
  for (let i = 1; i <= from.length; i++) {
    const next = [i];
    for (let j = 1; j <= to.length; j++)
      next.push(Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + (from[i - 1] === to[j - 1] ? 0 : 1)));
    row = next;
  }
  return row[to.length]!;
}
