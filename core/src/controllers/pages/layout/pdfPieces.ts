import type { TextPiece } from './piece.ts';

/** An item of a page's text layer as a PDF reader hands it out: its text, its matrix in the PDF's own coordinates, its width along the line. */
export interface PdfTextItem {
  readonly str: string;
  readonly transform: readonly number[];
  readonly width: number;
}

/** How a page is shown: the matrix from the PDF's coordinates to points from the page's top left corner, scale 1. */
export interface PdfView {
  readonly transform: readonly number[];
}

/** Share of a letter's height above the line it stands on. */
const ASCENT = 0.8;

/**
 * Text at its place from the text layer of a page, in points from the top left corner. Text that does not run from left to right on the page as it is shown is left out: it
 * stands in the margin.
 */
export function pdfPieces(items: readonly unknown[], view: PdfView): readonly TextPiece[] {
  return items.filter(isTextItem).flatMap(({ str, transform, width }) => {
    const [a, b, , d, x, y] = product(view.transform, transform);
    const height = Math.hypot(a, b);
    const level = a > 0 && Math.abs(b) < 0.1 * a;
    return str.trim() === '' || !level || !Number.isFinite(height * d * width)
      ? []
      : [{ text: str, x, y: y - ASCENT * height, width, height }];
  });
}

function isTextItem(item: unknown): item is PdfTextItem {
  const { str, transform, width } = item as Partial<PdfTextItem>;
  return (
    typeof str === 'string' && Array.isArray(transform) && transform.length === 6 && typeof width === 'number'
  );
}

type Matrix = readonly [number, number, number, number, number, number];

/** One matrix after another. */
function product(outer: readonly number[], inner: readonly number[]): Matrix {
  const [a, b, c, d, e, f] = outer as Matrix;
  const [g, h, i, j, k, l] = inner as Matrix;
  return [a * g + c * h, b * g + d * h, a * i + c * j, b * i + d * j, a * k + c * l + e, b * k + d * l + f];
}
