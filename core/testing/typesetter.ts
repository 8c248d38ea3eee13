import type { PdfText } from './pdf.ts';

/** How a booklet's table is set. */
export interface Setting {
  /** Left edge and width of each column, points; a text is broken where its column ends. */
  readonly columns: readonly { readonly left: number; readonly width: number }[];
  /** From one line of a cell to the next, and between rows, points. */
  readonly leading: number;
  readonly between: number;
  /** Where the cells of a row stand beside its tallest one. */
  readonly align: 'top' | 'middle';
}

/** Width of a letter of the tests' type, points: one width for all, so that the reader's parting of pieces is not what is tested. */
export const LETTER = 4.6;

/** Sets rows of cells from a height on; gives the texts at their places and the height after the last row. */
export function setTable(
  rows: readonly (readonly string[])[],
  { columns, leading, between, align }: Setting,
  from: number,
): { readonly texts: readonly PdfText[]; readonly end: number } {
  let y = from;
  const texts = rows.flatMap((cells) => {
    const broken = cells.map((cell, i) => wrapped(cell, columns[i]!.width));
    const most = Math.max(1, ...broken.map((lines) => lines.length));
    const placed = broken.flatMap((lines, i) =>
      lines.map((text, n) => ({
        text,
        x: columns[i]!.left,
        y: y + (n + (align === 'middle' ? (most - lines.length) / 2 : 0)) * leading,
      })),
    );
    y += most * leading + between;
    return placed;
  });
  return { texts, end: y };
}

/** A text in lines no wider than its column. */
function wrapped(text: string, width: number): readonly string[] {
  if (text === '') return [];
  return text.split(' ').reduce<string[]>((lines, word) => {
    const last = lines.at(-1);
    if (last !== undefined && (last.length + 1 + word.length) * LETTER <= width)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
    return lines;
  }, []);
}
