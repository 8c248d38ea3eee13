/** What a sign may be where a digit is expected, and where a letter is: shapes that readers of letters take for one another. */
const asDigit: Readonly<Record<string, string>> = {
  O: '0',
  o: '0',
  Q: '0',
  D: '0',
  l: '1',
  I: '1',
  i: '1',
  '|': '1',
  '!': '1',
  ']': '1',
  '[': '1',
  Z: '2',
  z: '2',
  S: '58',
  s: '58',
  B: '8',
  g: '9',
  q: '9',
  b: '6',
  G: '6',
  A: '4',
};
const asLetter: Readonly<Record<string, string>> = {
  '0': 'Oo',
  '1': 'lI',
  '5': 'S',
  '8': 'B',
  '6': 'b',
  '€': 'C',
  '£': 'E',
};
/** Letters whose capital looks the same but for its height. */
const SAME_SHAPE = 'cosuvwxzpk';

/** One way to understand what was read: letters, then a number, and how much had to be changed for it. */
interface Meant {
  readonly letters: string;
  readonly digits: string;
  readonly changes: number;
}

const DROPPED = 1.2;
/** One digit more or fewer than the others have. */
const OTHER_PLACES = 1.6;
const CHANGED = 1;
const HEIGHT_ONLY = 0.6;
const MOST_CHANGES = 3.5;
/** Share of the codes that must have the shape of letters and a number before anything is changed. */
const ENOUGH = 0.6;

/**
 * Puts codes right that a reader of letters took for others: `DO1` between `D02`s is `D01`, `col` before `C02` is `C01`. Each row comes with what the readings of it say. Where most codes
 * are letters and a number, the whole list is taken that needs the fewest changes and runs on most evenly (dynamic programming over the rows); a row that fits no such code stays as
 * first read, and so does every row where the codes have no such shape.
 *
 * @param rows readings of each code, the best first; an empty row has none
 * @returns a code for each row
 */
export function likelyCodes(rows: readonly (readonly string[])[]): readonly string[] {
  const meant = rows.map((readings) => {
    const best = new Map<string, Meant>();
    for (const reading of readings)
      for (const one of meaningsOf(reading)) {
        const name = `${one.letters}|${one.digits}`;
        if (one.changes < (best.get(name)?.changes ?? Infinity)) best.set(name, one);
      }
    return [...best.values()];
  });
  const coded = meant.filter((options) => options.length > 0).length;
  if (coded < ENOUGH * rows.filter((readings) => readings.length > 0).length || coded < 3)
    return rows.map((readings) => readings[0] ?? '');
  const places = digitPlaces(meant);
  const capitals = areCapitals(rows);
  const chosen = evenest(
    meant.map((options) =>
      options.map((one) => ({
        ...one,
        changes:
          one.changes +
          (one.digits.length === places ? 0 : OTHER_PLACES) +
          (capitals && SAME_SHAPE.includes(one.letters[0]!) ? HEIGHT_ONLY : 0),
      })),
    ),
  );
  return rows.map((readings, i) => (chosen[i] ? chosen[i].letters + chosen[i].digits : (readings[0] ?? '')));
}

/** Whether the codes begin with capitals: told by the letters whose capital looks different. */
function areCapitals(rows: readonly (readonly string[])[]): boolean {
  const first = rows.flatMap((readings) => readings.map((reading) => reading[0] ?? ''));
  const told = first.filter((letter) => /\p{L}/u.test(letter) && !SAME_SHAPE.includes(letter.toLowerCase()));
  return told.filter((letter) => letter === letter.toUpperCase()).length > told.length / 2;
}

/** The commonest number of digits, each row voting with its cheapest meaning. */
function digitPlaces(meant: readonly (readonly Meant[])[]): number {
  const votes = new Map<number, number>();
  for (const options of meant) {
    const [best] = [...options].sort((a, b) => a.changes - b.changes);
    if (best) votes.set(best.digits.length, (votes.get(best.digits.length) ?? 0) + 1);
  }
  return [...votes].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0;
}

/** All ways to understand a reading as one to four letters and one to three digits. */
function meaningsOf(reading: string): readonly Meant[] {
  const text = reading.replace(/[.,;:'’"“”]+$/, '');
  if (text.length < 2 || text.length > 8) return [];
  const found: Meant[] = [];
  const go = (at: number, letters: string, digits: string, changes: number): void => {
    if (changes > MOST_CHANGES || letters.length > 4 || digits.length > 3) return;
    const sign = text[at];
    if (sign === undefined) {
      if (letters !== '' && digits !== '') found.push({ letters, digits, changes });
      return;
    }
    if (/\d/.test(sign)) go(at + 1, letters, digits + sign, changes);
    for (const digit of asDigit[sign] ?? '') go(at + 1, letters, digits + digit, changes + CHANGED);
    // One sign read twice: "Cc" for C, "O0" for 0, "1l" for 1.
    const before = at > 0 ? text[at - 1]! : '';
    if (before !== '' && alike(before, sign)) go(at + 1, letters, digits, changes + DROPPED);
    if (digits !== '') return;
    if (/\p{L}/u.test(sign)) {
      go(at + 1, letters + sign, digits, changes);
      if (SAME_SHAPE.includes(sign)) go(at + 1, letters + sign.toUpperCase(), digits, changes + HEIGHT_ONLY);
    }
    for (const letter of asLetter[sign] ?? '') go(at + 1, letters + letter, digits, changes + CHANGED);
  };
  go(0, '', '', 0);
  return found;
}

const alike = (a: string, b: string) =>
  a.toLowerCase() === b.toLowerCase() || (asDigit[a] ?? a).includes(b) || (asDigit[b] ?? b).includes(a);

/** What it costs that one code follows another. */
function step(from: Meant, to: Meant): number {
  const ahead = Number(to.digits) - Number(from.digits);
  if (from.letters === to.letters) return ahead === 1 ? 0 : ahead > 1 ? 0.7 : 3;
  // Another group begins, as a rule with its first number.
  return Number(to.digits) <= 1 ? 1 : 1.6;
}

/** The way through all rows with the fewest changes and the smallest steps. */
function evenest(rows: readonly (readonly Meant[])[]): readonly (Meant | null)[] {
  type Way = { readonly cost: number; readonly last: Meant | null; readonly before: Way | null };
  let ways: readonly Way[] = [{ cost: 0, last: null, before: null }];
  for (const options of rows) {
    if (options.length === 0) {
      ways = ways.map((before) => ({ cost: before.cost, last: null, before }));
      continue;
    }
    ways = options.map((last) =>
      ways
        .map((before) => ({
          cost: before.cost + last.changes + stepOver(before, last),
          last,
          before,
        }))
        .reduce((one, next) => (next.cost < one.cost ? next : one)),
    );
  }
  const chosen: (Meant | null)[] = [];
  for (
    let way = ways.reduce((one, next) => (next.cost < one.cost ? next : one));
    way.before;
    way = way.before
  )
    chosen.unshift(way.last);
  return chosen;

  function stepOver(way: Way, to: Meant): number {
    let from: Way | null = way;
    while (from && from.last === null) from = from.before;
    return from?.last ? step(from.last, to) : 0;
  }
}
