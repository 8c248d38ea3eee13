import { parseNumber, printNumber, roundTo } from '../../foundation/quantities/index.ts';
import type { CodeValue, ControllerDefinition, Parameter } from './definition.ts';
import { sameCodeValue, type DisplayState } from './display.ts';
import { printScale, scaleOf } from './numberCode.ts';

/** An option as a display shows it: a count is a number, anything else is text. */
export const optionValue = (text: string): number | string => (/^\d+$/.test(text) ? Number(text) : text);

/** What is typed or chosen for a code, as its display would show it; or the sentence that refuses it. */
export type TypedCode = { readonly value: CodeValue } | { readonly problem: string };

/**
 * Reads what a person typed for a code against its range and steps on a display, or against its options; a preset by its id. A comma may stand for
 * the point, a unit may follow.
 */
export function readTypedCode(
  definition: ControllerDefinition,
  parameter: Parameter,
  typed: string,
  display: DisplayState,
): TypedCode {
  const { encoding, code } = parameter;
  const text = typed.trim();
  if (text === '') return { problem: `${code}: expected a value` };
  switch (encoding.type) {
    case 'reading':
      return { problem: `${code} only shows a reading; nothing can be set there` };
    case 'number': {
      const number = parseNumber(text.replace(/\s*(°\s*[CF]|[A-Za-z%°]+)$/, ''));
      if (number === null) return { problem: `${code}: “${text}” is not a number` };
      const scale = scaleOf(encoding, display);
      if (number < scale.min - 1e-9 || number > scale.max + 1e-9)
        return { problem: `${code}: expected ${printScale(scale)}, found ${printNumber(number, 4)}` };
      const stepped = roundTo(number, scale.resolution);
      return Math.abs(stepped - number) > 1e-6
        ? {
            problem: `${code}: expected steps of ${printNumber(scale.resolution, 4)}, found ${printNumber(number, 4)}`,
          }
        : { value: stepped };
    }
    case 'choice': {
      const option = encoding.options.find((o) => sameCodeValue(o.value, text));
      return option
        ? { value: option.value }
        : { problem: `${code}: expected one of ${encoding.options.map((o) => o.value).join(', ')}` };
    }
    default: {
      const ids = (definition.presets ?? []).map((preset) => preset.id);
      return ids.includes(text) || text === String(encoding.default)
        ? { value: text }
        : { problem: `${code}: expected one of ${ids.join(', ')}` };
    }
  }
}
