import { parseNumber } from '../../../foundation/quantities/index.ts';
import { conceptsOf } from '../words/concepts.ts';
import { isCode } from './cellKinds.ts';
import { roleOfHeading } from './columns.ts';
import { tailOf, type LineTail } from './lineTail.ts';
import { isContinuation, isHeading, isNoise, isSentence, optionLine, saysGroup } from './noise.ts';
import type { Aside, PrintedRow } from './row.ts';
import type { SplitLine } from './splitLines.ts';

/** The order in which a heading line names the values, where there is one. */
type Order = readonly ('min' | 'max' | 'default')[];

/** A title before the line that names the columns is no longer than this. */
const MOST_TITLE_LINES = 3;

/**
 * Reads rows out of lines of text whose columns are not told apart by a separator. What is no row is left out: titles become the group of the rows after them, notes and page
 * headers go, a description that was broken comes together again.
 */
export function rowsOfLines(lines: readonly SplitLine[]): {
  readonly rows: readonly PrintedRow[];
  readonly aside: readonly Aside[];
} {
  const texts = lines.map(({ line, cells }) => ({
    line,
    // A title set between strokes: --- Fans ---
    text: cells
      .join('  ')
      .replace(/\t/g, ' ')
      .replace(/^\s*([-–—=#*_]{2,})\s*(.*?)\s*\1\s*$/, '$2'),
  }));
  const aside: Aside[] = [];
  const kept = texts.filter(({ line, text }) => {
    if (!isNoise(text) && (!isSentence(text) || codeAt(text) !== '')) return true;
    aside.push({ line, text, as: 'note' });
    return false;
  });
  const codes = codesOf(kept.map(({ text }) => text));
  /** A number begins no row where the other codes are none. */
  const codeOf = (text: string) => {
    const code = codes.used ? codeAt(text) : '';
    return !codes.numbers && /^\d+$/.test(code) ? '' : code;
  };
  let order: Order | null = null;
  let folder = '';
  const rows: Working[] = [];
  const flat = (text: string) => text.replace(/\s+/g, ' ').trim();
  for (const { line, text } of kept) {
    const named = orderOfHeading(text);
    const set = (as: Aside['as']) => void aside.push({ line, text: flat(text), as });
    /** Puts something of this line to the row before. */
    const join = (part: Partial<Working>) => {
      set('joined');
      rows[rows.length - 1] = { ...rows.at(-1)!, ...part };
    };
    if (named) {
      // What stood before the table is its title, whatever its words look like.
      if (order === null && rows.length <= MOST_TITLE_LINES)
        for (const { line: at, code: word, whole } of rows.splice(0))
          aside.push({ line: at, text: `${word} ${whole}`.trim(), as: 'note' });
      order = named;
      set('heading');
      continue;
    }
    const begins = codeOf(text);
    const after = flat(
      text
        .trim()
        .slice(begins.length)
        .replace(/^[\s:.)–-]+/, ''),
    );
    const waiting = rows.at(-1)?.tail;
    // "NC 0 1 0" below "alarm input NO or": a row has words of its own.
    const isRest =
      begins !== '' &&
      waiting !== undefined &&
      waiting.range === null &&
      waiting.values.length === 0 &&
      tailOf(after, true).words === '';
    const code = isRest ? '' : begins;
    const rest = code === '' ? flat(text) : after;
    const tail = tailOf(rest, code !== '');
    const last = rows.at(-1);
    const hasTail = tail.range !== null || tail.values.length > 0;
    // Its numbers are still to come; a number that its broken description happened to end in is none of them.
    const strong = tail.range !== null || tail.values.length >= 2;
    const waits =
      last !== undefined && last.tail.range === null && last.tail.values.length < (strong ? 2 : 1);
    const listed = code === '' || /^\d$/.test(code) ? optionLine.exec(flat(text)) : null;
    const begun = () => ({ line, folder, options: '', ...described(tail, rest), tail, whole: rest });
    if (listed && last && tail.range === null && tail.values.length < 2)
      join({ options: [last.options, `${listed[1]} = ${listed[2]}`].filter(Boolean).join(', ') });
    else if (!hasTail && saysGroup(text)) {
      folder = flat(text);
      set('group');
    } else if (code !== '' && !hasTail && !/\d/.test(code) && rows.length === 0) set('note');
    else if (code !== '' && !hasTail && !/\d/.test(code) && text === text.toUpperCase() && isHeading(text)) {
      folder = flat(text);
      set('group');
    } else if (code !== '') rows.push({ code, ...begun() });
    else if (hasTail && waits)
      join({ ...described(tail, rest), description: flat(`${last.whole} ${tail.words}`), tail });
    else if (hasTail && /[A-Za-z]{3,}/.test(tail.words) && strong) rows.push({ code: '', ...begun() });
    else if (last && isContinuation(text)) join({ description: flat(`${last.description} ${rest}`) });
    else if (isHeading(text)) {
      folder = flat(text).replace(/[:.]$/, '');
      set('group');
    } else set('note');
  }
  const settled = order ?? commonOrder(rows.map((row) => row.tail));
  return { rows: rows.map(({ tail, whole: _, ...row }) => ({ ...row, ...valuesOf(tail, settled) })), aside };
}

/** A row while its lines are gathered. */
type Working = PrintedRow & { readonly tail: LineTail; readonly whole: string };

function described(
  tail: LineTail,
  rest: string,
): Pick<PrintedRow, 'description' | 'unit' | 'min' | 'max' | 'default'> {
  return { description: tail.words || rest, unit: tail.unit, min: '', max: '', default: '' };
}

/** A heading line: three columns or more named, and nothing but names. Gives the order of the values. */
function orderOfHeading(text: string): Order | null {
  const cells = text.trim().split(/\s{2,}|\t/);
  const words = cells.length >= 3 ? cells : text.trim().split(/\s+/);
  const roles = words.map((word) => roleOfHeading(word));
  const known = roles.filter((role) => role !== null);
  if (known.length < 3 || known.length < words.length * 0.6 || /\d{2,}/.test(text)) return null;
  return roles.filter(
    (role): role is 'min' | 'max' | 'default' => role === 'min' || role === 'max' || role === 'default',
  );
}

/** How the lines begin: with codes at all, and whether those are mere numbers. */
interface Codes {
  readonly used: boolean;
  readonly numbers: boolean;
}

/** Codes are used where there are about as many lines that begin with what looks like one as lines that end in values. */
function codesOf(texts: readonly string[]): Codes {
  const valued = texts.filter((text) => {
    const tail = tailOf(text, false);
    return tail.range !== null || tail.values.length >= 2;
  });
  const coded = texts.map(codeAt).filter((code) => code !== '');
  const numbers = coded.filter((code) => /^\d+$/.test(code)).length;
  return {
    used: valued.length > 0 && coded.length >= valued.length * 0.5,
    numbers: numbers >= coded.length * 0.5,
  };
}

/** The code a line begins with; empty where its first word is one of a description. */
function codeAt(text: string): string {
  // 1.01, 2.10: menu and line.
  const dotted = /^\s*(\d{1,2}\.\d{2})\s+(?=\S*[A-Za-z])/.exec(text);
  if (dotted) return dotted[1]!;
  const [, first = '', gap = '', rest = ''] = /^\s*([^\s:]+?)([\s:.)–-]+)(.*)$/.exec(text) ?? [];
  // "1 = on" goes on with the options of the row before.
  if (!isCode(first) || rest === '' || rest.startsWith('=')) return '';
  if (/\d/.test(first)) return /^\d+$/.test(first) && !/[A-Za-z]/.test(rest) ? '' : first;
  // A word of the trade begins a description, unless the description begins anew after it.
  const isWord = conceptsOf(first).named.size > 0;
  const odd =
    /^[A-Z]{2,5}$/.test(first) ||
    /[a-z][A-Z]/.test(first) ||
    first.length <= 2 ||
    (gap.includes(':') && !isWord);
  if (odd && !/^(a|an|of|in|on|at|to|if|no|by|or|is)$/i.test(first)) return first;
  return first.length <= 5 && (!isWord || /^[A-Z]/.test(rest)) && (/\s{2,}/.test(gap) || /^[A-Z]/.test(rest))
    ? first
    : '';
}

const orders: readonly Order[] = [
  ['min', 'max', 'default'],
  ['default', 'min', 'max'],
  ['min', 'default', 'max'],
  ['max', 'min', 'default'],
];

/** Without a heading line: the order that most rows with three values agree with; booklets' own decides between equals. */
function commonOrder(tails: readonly LineTail[]): Order {
  const triples = tails.filter((tail) => tail.range === null && tail.values.length === 3);
  const agrees = (order: Order) =>
    triples.filter(({ values }) => {
      const at = (role: Order[number]) => parseNumber(values[order.indexOf(role)] ?? '');
      const [min, max, standard] = [at('min'), at('max'), at('default')];
      return (
        min !== null && max !== null && standard !== null && min <= standard && standard <= max && min < max
      );
    }).length;
  return orders.reduce((one, next) => (agrees(next) > agrees(one) ? next : one));
}

function valuesOf({ range, values }: LineTail, order: Order): Pick<PrintedRow, 'min' | 'max' | 'default'> {
  if (range) return { ...range, default: values.at(-1) ?? '' };
  if (values.length === 3) {
    const wanted: Order = order.length === 3 ? order : ['min', 'max', 'default'];
    const at = (role: Order[number]) => values[wanted.indexOf(role)] ?? '';
    return { min: at('min'), max: at('max'), default: at('default') };
  }
  if (values.length === 2) {
    const [a, b] = values as [string, string];
    return order.length === 2 && order.includes('default')
      ? {
          min: order[0] === 'min' ? a : '',
          max: order[0] === 'max' ? a : '',
          default: order[0] === 'default' ? a : b,
        }
      : { min: a, max: b, default: '' };
  }
  return { min: '', max: '', default: values[0] ?? '' };
}
