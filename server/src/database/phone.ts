/** Of fewer digits every telephone number holds some. */
const LEAST_DIGITS = 4;

/** A telephone number in a column, without what people write between its digits; an index holds the same (Migration0013). */
export const digitsIn = (column: string): string => `regexp_replace(${column}, '[^0-9]', '', 'g')`;

/** A `like` pattern for the digits in what was typed; null where there are too few to mean a number. */
export function holdingNumber(typed: string): string | null {
  const digits = typed.replace(/\D/g, '');
  return digits.length >= LEAST_DIGITS ? `%${digits}%` : null;
}
