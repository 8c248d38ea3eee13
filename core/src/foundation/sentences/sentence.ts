import { printFor } from '../quantities/index.ts';
import { quantity } from '../quantities/index.ts';
import type { TemperatureUnit, Unit } from '../quantities/index.ts';

const number = String.raw`[−-]?\d+(?:\.\d+)?`;
/** A temperature or a difference, alone or as the end of a range whose unit stands once: `7 °C`, `10 to 16 °C`. */
const amounts = new RegExp(
  String.raw`(?<![\w.,])(?:(${number})( to | and |–))?(${number})\s(°C|°F|K|dF)(?![\w/·²³])`,
  'g',
);
const unitOf: Readonly<Record<string, Unit>> = { '°C': 'degC', '°F': 'degF', K: 'K', dF: 'deltaF' };
const own: Readonly<Record<TemperatureUnit, readonly string[]>> = { degC: ['°C', 'K'], degF: ['°F', 'dF'] };

/**
 * Temperatures and differences of a sentence for a reader of °F or °C, in tenths: `Cut-in at −19 °C` becomes `Cut-in at −2.2 °F`. What is
 * in the reader's unit already stays as it was written, and so does all else.
 */
export function sentenceFor(text: string, display: TemperatureUnit): string {
  return text.replace(
    amounts,
    (whole: string, from: string | undefined, between: string, to: string, symbol: string) => {
      if (own[display].includes(symbol)) return whole;
      const shown = (amount: string) =>
        printFor(quantity(Number(amount.replace('−', '-')), unitOf[symbol]!), display);
      return from === undefined ? shown(to) : `${shown(from).replace(/ \S+$/, '')}${between}${shown(to)}`;
    },
  );
}
