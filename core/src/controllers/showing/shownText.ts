/** The display's text without what differs from unit to unit: capitals, spaces, a plus sign, a comma for a point. */
export const shownAlike = (a: string, b: string): boolean => plain(a) === plain(b);

const plain = (text: string): string => {
  const bare = text.trim().toLowerCase().replace(/−/g, '-').replace(/^\+/, '');
  const number = /^-?\d+([.,]\d+)?$/.test(bare) ? Number(bare.replace(',', '.')) : null;
  return number === null ? bare.replace(/[\s.]/g, '') : String(number + 0);
};

/** A number on the display, or null where it shows something else. */
export function shownNumber(text: string | null): number | null {
  if (text === null) return null;
  const bare = plain(text);
  return /^-?\d+(\.\d+)?$/.test(bare) ? Number(bare) : null;
}
