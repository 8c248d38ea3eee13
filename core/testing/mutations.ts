/** What a careless editor, a broken download or somebody who means harm leaves in a file. Everything is drawn from the seeded source given. */

type Random = () => number;

const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!;

/** So many lists and objects in one another. */
export const nested = (levels: number): unknown => {
  let value: unknown = 1;
  for (let i = 0; i < levels; i += 1) value = i % 2 === 0 ? { a: value } : [value];
  return value;
};

/** Values that stand where others belong. */
export const odd: readonly (() => unknown)[] = [
  () => null,
  () => 0,
  () => -1,
  () => 1.5,
  () => 2 ** 31,
  () => 2 ** 53,
  () => 1e308,
  () => -1e-308,
  () => true,
  () => '',
  () => ' ',
  () => 'nope',
  () => 'a\0b',
  () => 'half \uD83D',
  () => 'x'.repeat(5000),
  () => '__proto__',
  () => 'constructor',
  () => '2026-13-45',
  () => 'NaN',
  () => [],
  () => [[]],
  () => [null, {}, 'x'],
  () => Array(2000).fill({}),
  () => ({}),
  () => ({ value: 1e308, unit: 'degC' }),
  () => ({ value: 'x', unit: 'parsec' }),
  () => JSON.parse('{"__proto__":{"admin":true},"constructor":1}') as unknown,
  () => nested(200),
];

/** A copy of a JSON value with one to four things changed somewhere in it: a field gone, doubled under another name, or something odd in its place. */
export function mutatedJson(random: Random, value: unknown): unknown {
  let copy = structuredClone(value);
  for (let left = 1 + Math.floor(random() * 4); left > 0; left -= 1) copy = changed(random, copy, 0);
  return copy;
}

function changed(random: Random, value: unknown, depth: number): unknown {
  if (typeof value !== 'object' || value === null || (depth > 0 && random() < 0.15))
    return otherwise(random, value);
  if (Array.isArray(value)) {
    if (value.length === 0) return otherwise(random, value);
    const at = Math.floor(random() * value.length);
    const chance = random();
    if (chance < 0.1) return value.toSpliced(at, 1);
    if (chance < 0.2) return value.toSpliced(at, 0, value[at]);
    if (chance < 0.25) return value.toReversed();
    return value.with(at, changed(random, value[at], depth + 1));
  }
  const keys = Object.keys(value);
  if (keys.length === 0) return otherwise(random, value);
  const key = pick(random, keys);
  const fields = value as Record<string, unknown>;
  const chance = random();
  if (chance < 0.12) return Object.fromEntries(Object.entries(fields).filter(([name]) => name !== key));
  if (chance < 0.18) return { ...fields, [`${key}x`]: fields[key] };
  return { ...fields, [key]: changed(random, fields[key], depth + 1) };
}

/** Something else of the same kind, or something odd. */
function otherwise(random: Random, value: unknown): unknown {
  if (typeof value === 'number' && random() < 0.5)
    return value * pick(random, [-1, 0, 10, 1000, 1e6, 0.001, Number.MAX_SAFE_INTEGER]);
  if (typeof value === 'string' && random() < 0.3) return mutatedText(random, value);
  return pick(random, odd)();
}

const scraps = [
  '\0',
  '"',
  ',',
  ';',
  '\t',
  '\n',
  '\r',
  '\uFEFF',
  '-',
  '1e999',
  'é',
  '{',
  ']',
  '\uD83D',
  'NaN',
  '#',
];

/** A text with one to four things changed in it: cut, a scrap put in, a line gone, doubled, moved or made very long. */
export function mutatedText(random: Random, text: string): string {
  let out = text;
  for (let left = 1 + Math.floor(random() * 4); left > 0; left -= 1) {
    const at = Math.floor(random() * (out.length + 1));
    const lines = out.split('\n');
    const line = Math.floor(random() * lines.length);
    switch (Math.floor(random() * 7)) {
      case 0:
        out = out.slice(0, at);
        break;
      case 1:
        out = out.slice(0, at) + pick(random, scraps) + out.slice(at);
        break;
      case 2:
        out = lines.toSpliced(line, 1).join('\n');
        break;
      case 3:
        out = lines.toSpliced(line, 0, lines[line]!).join('\n');
        break;
      case 4:
        out = out.slice(0, at) + out.slice(at + 1 + Math.floor(random() * 20));
        break;
      case 5:
        out = lines.with(line, lines[line]! + pick(random, scraps).repeat(3000)).join('\n');
        break;
      default:
        out = out.slice(0, at) + String(pick(random, odd)()) + out.slice(at);
    }
  }
  return out;
}
