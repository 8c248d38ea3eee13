import { isQuantity, printFor, printQuantity } from '../quantities/index.ts';
import type { Quantity, TemperatureUnit } from '../quantities/index.ts';

/**
 * A sentence whose quantities are still quantities: words and quantities in the order they are read, or a plain text where it has none.
 * Plain data, so that it may be sent and kept; {@link inWords} turns it into text for one reader.
 */
export type Sentence = string | readonly (string | Quantity)[];

/**
 * A template: `` sentence`Cut-in at ${cutIn} keeps the product.` ``. Quantities stay as they are, another sentence joins with its own,
 * and what is neither is written out. A sentence without a quantity is a plain text.
 */
export function sentence(
  words: TemplateStringsArray,
  ...values: readonly (Sentence | Quantity | number)[]
): Sentence {
  return joined(words.flatMap((text, i) => [text, ...(i < values.length ? partsOf(values[i]!) : [])]));
}

/** Sentences joined into one, with a text between them. */
export function joinSentences(sentences: readonly Sentence[], between: string): Sentence {
  return joined(sentences.flatMap((s, i) => [...(i > 0 ? [between] : []), ...partsOf(s)]));
}

/**
 * The sentence for one reader: temperatures and differences in the unit that is read, in tenths; a quantity that is in it already, and
 * every other one, as it was typed. Without a reader all are as they were typed.
 */
export function inWords(text: Sentence, reader?: TemperatureUnit): string {
  if (typeof text === 'string') return text;
  return text.map((part) => (typeof part === 'string' ? part : shown(part, reader))).join('');
}

const own: Readonly<Record<TemperatureUnit, readonly string[]>> = {
  degC: ['degC', 'K'],
  degF: ['degF', 'deltaF'],
};

function shown(q: Quantity, reader: TemperatureUnit | undefined): string {
  return reader === undefined || own[reader].includes(q.unit) ? printQuantity(q) : printFor(q, reader);
}

function partsOf(value: Sentence | Quantity | number): readonly (string | Quantity)[] {
  if (typeof value === 'string') return [value];
  if (typeof value === 'number') return [String(value).replace('-', '−')];
  return isQuantity(value) ? [value] : value;
}

/** Neighbouring texts made one. */
function joined(parts: readonly (string | Quantity)[]): Sentence {
  const out: (string | Quantity)[] = [];
  for (const part of parts) {
    const last = out.at(-1);
    if (typeof part === 'string' && typeof last === 'string') out[out.length - 1] = last + part;
    else if (part !== '') out.push(part);
  }
  return out.every((part) => typeof part === 'string') ? out.join('') : out;
}
