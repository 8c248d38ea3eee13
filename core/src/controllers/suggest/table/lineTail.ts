import { parseNumber } from '../../../foundation/quantities/index.ts';
import { conceptsOf } from '../words/concepts.ts';
import { isUnit, plain } from './cellKinds.ts';

/** What stands at the end of a line of a booklet: range, factory value and unit, with the words before them. */
export interface LineTail {
  readonly words: string;
  /** A range with both its ends or one of them; an end that follows another code is empty. */
  readonly range: { readonly min: string; readonly max: string } | null;
  /** Bare numbers and short values, from left to right. */
  readonly values: readonly string[];
  readonly unit: string;
}

const number = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
const signedNumber = String.raw`[+\-−–±]?\s?${number}`;
/** An end that follows another code: `SP+1`, `rd-0.5`, `LSE`, `HS`. */
const follows = String.raw`[A-Za-z][A-Za-z0-9]{0,3}(?:[+\-−]${number})?`;
const unitWord = String.raw`(?:°\s?[CF]|º\s?[CF]|K|sec\.?|s|min\.?|h(?:rs?|ours)?|%|V)`;
const between = String.raw`(?:\.{2,3}|…|÷|~|\bto\b)`;

/** A range marks its place in the line by brackets that no booklet prints. */
const mark = (min: string, max: string, unit: string) => ` ⟦${min}|${max}⟧ ${unit.trim()} `;
/** `+150` as 150, `.1` as 0.1. */
const value = (text: string) =>
  plain(text.replace(/^\+/, '').replace(/^([.,])/, '0$1')).replace(/^-([.,])/, '-0$1');

/** Puts every way of printing a range into one. */
function withMarks(line: string): string {
  return (
    line
      // ±12.0
      .replace(new RegExp(String.raw`(?<![\w.])±\s?(${number})(?![\w])`, 'g'), (_, n: string) =>
        mark(`-${value(n)}`, value(n), ''),
      )
      // oFF, 1…24: the option below the range stands beside it
      .replace(
        new RegExp(
          String.raw`\b(?:oF{1,2}|OFF|Off|nu)\s*[,;/]\s*(?=${signedNumber}\s*(?:${between}|[-–—]))`,
          'g',
        ),
        ' ',
      )
      // -40 … +99 °F, 0.5 to 15 min, -50.0°C…150
      .replace(
        new RegExp(
          String.raw`(?<![\w.])(${signedNumber})\s*(${unitWord})?\s*(?:${between})\s*(${signedNumber})(?![\w.]*\d)`,
          'g',
        ),
        (_, a: string, unit: string | undefined, b: string) => mark(value(a), value(b), unit ?? ''),
      )
      // 0-15, 1 – 30, .1-25.0: a stroke close to both or far from both; "5 -10" are two numbers
      .replace(
        new RegExp(
          String.raw`(?<![\w.])([+\-−]?${number})(?:\s+[-–—]\s+|[-–—])(${signedNumber})(?![\w.]*\d)`,
          'g',
        ),
        (_, a: string, b: string) => mark(value(a), value(b), ''),
      )
      // n ÷ y, LSE … HSE
      .replace(
        /(?<![\w.])([A-Za-z]\w{0,3})\s*(?:÷|…|\.{2,3})\s*([A-Za-z]\w{0,3})(?!\w)/g,
        (_, a: string, b: string) => mark(a, b, ''),
      )
      // SP+1 … 99, -40 … SP-1, LSE…HSE
      .replace(
        new RegExp(
          String.raw`(?<![\w.])(${follows})\s*(?:\.{2,3}|…|÷|~)\s*(${signedNumber})(?![\w.]*\d)`,
          'g',
        ),
        (_, a: string, b: string) => mark(a, value(b), ''),
      )
      .replace(
        new RegExp(String.raw`(?<![\w.])(${signedNumber})\s*(?:\.{2,3}|…|÷|~)\s*(${follows})(?!\w)`, 'g'),
        (_, a: string, b: string) => mark(value(a), b, ''),
      )
      // -40/99 as a range, where the second is greater
      .replace(
        new RegExp(String.raw`(?<![\w./])([+\-−]?${number})\s?\/\s?([+\-−]?${number})(?![\w./])`, 'g'),
        (all, a: string, b: string) =>
          (parseNumber(value(a)) ?? 0) < (parseNumber(value(b)) ?? 0) ? mark(value(a), value(b), '') : all,
      )
  );
}

/** Words that lead to a factory value: `default 3`, `(factory: 3)`, `std = 3`. */
const lead = /^\(?(?:def(?:ault)?|fact(?:ory)?|preset|std|standard|initial)\.?[:=]?$/i;
const bracket = /^[([]|[)\],;.]+$/g;
/** A short option as a value: `n`, `oF`, `dEF`, `Ab`; never a word of a description. */
const isOption = (text: string): boolean => {
  if (/^([yn]|on|o[fF]F?|OFF|ON)$/.test(text)) return true;
  if (!/^[a-zA-Z]{1,3}\d?$/.test(text)) return false;
  const { named, unknown } = conceptsOf(text);
  return named.size === 0 && unknown.length > 0;
};

/** Dots that lead the eye from the words to the value, and a unit in brackets between them: "Drip time (minutes) ...... 2". */
function withoutLeaders(printed: string): { readonly line: string; readonly unit: string } {
  const line = printed.replace(/\s*(\.{4,}|(\s\.){3,}|_{3,})\s*/g, '  ');
  // Without leaders a bracket belongs to the words.
  if (line === printed) return { line, unit: '' };
  const found =
    /\((deg\.?\s?[FC]|°\s?[CF]|minutes?|mins?|seconds?|secs?|hours?|hrs?|K|%)\)(?=\s+[^(]*[-+\d])/i.exec(
      line,
    );
  if (!found) return { line, unit: '' };
  return {
    line: line.replace(found[0], ' '),
    unit: found[1]!.replace(/deg\.?\s?/i, '°').replace(/^mins?$/i, 'min'),
  };
}

/**
 * Takes a line apart from its right end: values, units and ranges for as long as there are any, the rest is words. `mayBeOption` says whether a short word may be a
 * value; at most three bare values belong to the tail, one beside a range.
 */
export function tailOf(printed: string, mayBeOption: boolean): LineTail {
  const { line, unit: beside } = withoutLeaders(printed);
  const tokens = withMarks(line)
    .replace(/(°|º)\s+([CF])\b/g, '°$2')
    .replace(/(\d)(°[CF]|sec|min|%)(?=[\s,;)]|$)/gi, '$1 $2')
    .split(/\s+/)
    .filter((token) => token !== '');
  let at = tokens.length;
  let range: LineTail['range'] = null;
  let unit = beside;
  let values: string[] = [];
  /** "default 3": what stands before it is no short option any more. */
  let led = false;
  while (at > 0) {
    const token = tokens[at - 1]!;
    const bare = token.replace(bracket, '');
    if (closesWords(tokens, at - 1)) break;
    const marked = /^⟦(.*)\|(.*)⟧$/.exec(bare);
    if (marked && range === null) range = { min: marked[1]!, max: marked[2]! };
    else if (isNumber(bare)) {
      if (values.length >= (range ? 1 : 3)) break;
      values = [value(bare), ...values];
    } else if (isUnit(bare) && unit === '' && bare !== '') unit = bare;
    else if (/^[-–—/]$/.test(token) || bare === '') {
      // An empty cell, or a stroke between two.
    } else if (lead.test(token) && values.length > 0) {
      led = true;
    } else if (
      mayBeOption &&
      !led &&
      isOption(bare) &&
      values.length < (range ? 1 : 3) &&
      (tokens.length - at < 3 || values.length > 0)
    )
      values = [bare, ...values];
    else break;
    at -= 1;
  }
  // A short word alone may end any description.
  if (range === null && unit === '' && !values.some(isNumber)) {
    at = tokens.length;
    values = [];
  }
  // "probe 1 °C -10 10 0": a number left of the unit, beyond those wanted, is a word of the description.
  const words = tokens
    .slice(0, at)
    .map((token) => token.replace(/⟦(.*)\|(.*)⟧/, '$1-$2'))
    .join(' ')
    .replace(/[\s:,;(–-]+$/, '')
    .replace(/[\s:,;(–-]+(adjustable |setting )?range$/i, '');
  return { words, range, values, unit };
}

/** True for the last word of a bracket that holds words: "(0 = C, 1 = F)" belongs to the description. */
function closesWords(tokens: readonly string[], at: number): boolean {
  if (!/[)\]]$/.test(tokens[at]!) || /^[([]/.test(tokens[at]!)) return false;
  const from = tokens.slice(0, at).findLastIndex((token) => /^[([]/.test(token));
  if (from < 0) return false;
  return (
    tokens
      .slice(from, at + 1)
      .map((token) => token.replace(bracket, ''))
      .some((token) => /[A-Za-z=]/.test(token) && !isUnit(token) && !lead.test(token) && !/^⟦/.test(token)) ||
    tokens.slice(from, at).some((token) => token === '=')
  );
}

const isNumber = (text: string) =>
  new RegExp(`^${signedNumber}$`).test(text) && parseNumber(value(text)) !== null;
