import { baseValue, parseNumber, parseQuantity, type Dimension } from '@brine/core/foundation/quantities';
import { Refusal, type Args } from './args.ts';

/** Every value of an option as a number in the base unit of a dimension; ohms may stand without their unit. */
export function quantities(args: Args, name: string, dimension: Dimension): readonly number[] {
  return (args.options.get(name) ?? []).map((text) => {
    const bare = dimension === 'ohms' ? parseNumber(text) : null;
    if (bare !== null) return bare;
    const read = parseQuantity(text, dimension);
    if (!read.ok) throw new Refusal(`--${name}: ${read.problem}`);
    return baseValue(read.value);
  });
}

/** The last value of such an option, or undefined. */
export const quantityOption = (args: Args, name: string, dimension: Dimension): number | undefined =>
  quantities(args, name, dimension).at(-1);

/** A bare number of an option, or undefined. */
export function numberOption(args: Args, name: string): number | undefined {
  const text = args.options.get(name)?.at(-1);
  if (text === undefined) return undefined;
  const number = parseNumber(text);
  if (number === null) throw new Refusal(`--${name}: ${text}: expected a number`);
  return number;
}

/** A range `a..b` of an option, or undefined. */
export function rangeOption(
  args: Args,
  name: string,
): { readonly from: number; readonly to: number } | undefined {
  const text = args.options.get(name)?.at(-1);
  if (text === undefined) return undefined;
  const [from, to] = text.split('..').map((part) => parseNumber(part));
  if (from === null || from === undefined || to === null || to === undefined || from > to)
    throw new Refusal(`--${name}: ${text}: expected a range such as 9.5..10.5`);
  return { from, to };
}
