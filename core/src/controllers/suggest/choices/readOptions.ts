/** An option as a booklet words it: what is typed, and what it is said to mean. */
export interface BookletOption {
  readonly value: string;
  readonly words: string;
}

/** The options a description names, and the description without them. */
export interface ReadOptions {
  readonly options: readonly BookletOption[];
  readonly rest: string;
  /** True where the words were counted off from 0, since the booklet gives no number for each. */
  readonly counted: boolean;
}

const pair =
  /(?:^|(?<=[\s(,;:/]))([A-Za-z]{1,4}|\d{1,2})\s*=\s*([^,;()=]*?)(?=\s*(?:[,;()]|\/(?=\s*\w+\s*=)|\s[A-Za-z0-9]{1,4}\s*=|$))/g;

/** Reads options out of a description: "0 = runs, 1 = stops", "0 off 1 on 2 cycles", "(run / stop)", "yes/no". */
export function readOptions(worded: string, min = '', max = ''): ReadOptions {
  const description = worded.replace(/['’"“”]([A-Za-z]\w*)['’"“”]/g, '$1');
  const listedBy = bySemicolons(description);
  if (listedBy) return listedBy;
  const paired = [...description.matchAll(pair)].map((m) => ({
    value: m[1]!,
    words: m[2]!.trim().replace(/[.\s]+$/, ''),
  }));
  if (paired.length >= 2) return { options: paired, rest: without(description, pair), counted: false };
  const numbered = numberedOptions(description);
  if (numbered) return numbered;
  const bracketed = bracketedOptions(description);
  if (bracketed) return bracketed;
  const named = namedValues(description, min, max);
  if (named) return named;
  const listed = listedOptions(description, min, max);
  if (listed) return listed;
  return {
    options: fromRange(min, max),
    rest: paired.length === 1 ? without(description, pair) : description,
    counted: false,
  };
}

/** "0 = heater, by time; 1 = hot gas, by time": semicolons part the options, so commas belong to their words. */
function bySemicolons(description: string): ReadOptions | null {
  const parts = description.split(/\s*;\s*/);
  const first = /^(.*?)[\s:,(]*(?<=^|[\s:,(])([A-Za-z]{1,4}|\d{1,2})\s*=\s*([^=]+)$/.exec(parts[0] ?? '');
  const others = parts
    .slice(1)
    .map((part) => /^\(?([A-Za-z]{1,4}|\d{1,2})\)?\s*=\s*([^=]+?)[).\s]*$/.exec(part));
  if (others.length === 0 || others.some((other) => other === null)) return null;
  const options = [
    ...(first ? [{ value: first[2]!, words: first[3]!.trim() }] : []),
    ...others.map((other) => ({ value: other![1]!, words: other![2]!.trim() })),
  ];
  return options.length < 2 ? null : { options, rest: first ? first[1]! : parts[0]!, counted: false };
}

/** "0 electric heater, 1 hot gas, 2 by stop": numbers from 0 upwards, each followed by words. */
function numberedOptions(description: string): ReadOptions | null {
  const found = [
    ...description.matchAll(/(?:^|(?<=[\s(,;:]))(\d)[\s:–-]+([A-Za-z°](?:[^,;()\d]|(?<=[A-Za-z])\d+)*)/g),
  ];
  const start = found.findIndex((m) => m[1] === '0');
  if (start < 0) return null;
  const run = found.slice(start).filter((m, i) => m[1] === String(i));
  if (run.length < 2) return null;
  return {
    options: run.map((m) => ({ value: m[1]!, words: m[2]!.trim().replace(/\s+(or|and)$/, '') })),
    rest: run.reduce((text, m) => text.replace(m[0], ' '), description).replace(/[(),;:]+\s*$/, ''),
    counted: false,
  };
}

/** "fan managed by controller (0) or always running (1)". */
function bracketedOptions(description: string): ReadOptions | null {
  const found = [...description.matchAll(/([A-Za-z][^()\d]*?)\s*\((\d)\)/g)];
  if (found.length < 2 || !found.some((m) => m[2] === '0')) return null;
  return {
    options: found.map((m) => ({ value: m[2]!, words: m[1]!.replace(/^(or|and|,)\s+/, '').trim() })),
    rest: description.replace(/\(\d\)/g, ' '),
    counted: false,
  };
}

/** What is typed, two spellings as range or a list at the end of the words: "EL, GAS, AIr". */
const typedList = /(?:^|\s)([A-Za-z][A-Za-z0-9]{0,3}(?:\s*[,/|]\s*[A-Za-z][A-Za-z0-9]{0,3}){2,})$/;

/** "EL heater, GAS hot gas, AIr natural" or "follows (C) or always on (A)", where the range says which spellings are typed. */
function namedValues(description: string, min: string, max: string): ReadOptions | null {
  const list = typedList.exec(description.trim());
  const values = list
    ? list[1]!.split(/\s*[,/|]\s*/)
    : [min.trim(), max.trim()].filter((value) => /^[A-Za-z]\w{0,4}$/.test(value));
  if (values.length < 2 || new Set(values).size < values.length) return null;
  const text = list ? description.slice(0, list.index).trim() : description;
  const others = values.join('|');
  const found = values.map((value) => {
    const after = new RegExp(
      `(?:^|[\\s(,;:/])${value}[\\s:=–-]+([^,;()/]+?)(?=\\s*(?:[,;()/]|$)|\\s+(?:${others})[\\s:=])`,
    ).exec(text);
    const before = after ? null : new RegExp(`([A-Za-z][^,;():]*?)\\s*\\(${value}\\)`).exec(text);
    const words = (after?.[1] ?? before?.[1] ?? '').replace(/^(or|and)\s+/, '').trim();
    // What stands before a bracket may be the row's own words: only the bracket goes.
    return { value, words, said: after?.[0] ?? (before ? `(${value})` : null) };
  });
  const all = found.every(({ words }) => words !== '');
  if (!all && !list) return null;
  return {
    options: found.map(({ value, words }) => ({ value, words: words || value })),
    rest: all
      ? found.reduce((left, { said }) => left.replace(said!, ' '), text).replace(/[\s(),;:]+$/, '')
      : text,
    counted: false,
  };
}

/** "run / stop", "yes/no", "none / thermostat / alarm": words with strokes between, counted off from the least value. */
function listedOptions(description: string, min: string, max: string): ReadOptions | null {
  const match = /\(?\b([A-Za-z][\w -]{0,18}?(?:\s?\/\s?[A-Za-z][\w -]{0,18}?)+)\)?\s*\??$/.exec(
    description.trim(),
  );
  if (!match) return null;
  const words = match[1]!.split('/').map((w) => w.trim());
  const first = words[0]!.split(/\s+/).at(-1)!;
  const list = [match[0].startsWith('(') ? words[0]! : first, ...words.slice(1)];
  const values = fromRange(min, max);
  const rest = match[0].startsWith('(') ? description.replace(match[0], ' ') : description;
  const typed = values.length === list.length && values.every((v) => /\D/.test(v.value));
  // Where the columns give the two spellings themselves, each is matched to its word by its first letter.
  if (typed) {
    const byLetter = values.map((v) => list.find((w) => w[0]!.toLowerCase() === v.value[0]!.toLowerCase()));
    if (byLetter.every((w) => w !== undefined))
      return {
        options: values.map((v, i) => ({ value: v.value, words: byLetter[i]! })),
        rest,
        counted: false,
      };
  }
  const from = Number.parseInt(min, 10);
  return {
    options: list.map((w, i) => ({ value: String((Number.isNaN(from) ? 0 : from) + i), words: w })),
    rest,
    counted: true,
  };
}

/** Options of a bare range: two spellings, or whole numbers, without words. */
function fromRange(min: string, max: string): readonly BookletOption[] {
  const [low, high] = [min.trim(), max.trim()];
  if (low === '' || high === '') return [];
  if (/^\d+$/.test(low) && /^\d+$/.test(high)) {
    const count = Number(high) - Number(low) + 1;
    return count >= 2 && count <= 9
      ? Array.from({ length: count }, (_, i) => ({ value: String(Number(low) + i), words: '' }))
      : [];
  }
  return /^[A-Za-z]/.test(low) && /^[A-Za-z]/.test(high)
    ? [low, high].map((value) => ({ value, words: value }))
    : [];
}

function without(text: string, pattern: RegExp): string {
  return text
    .replace(pattern, ' ')
    .replace(/[\s(,;:/]+$/, '')
    .replace(/\(\s*[,;]*\s*\)/g, ' ');
}
