import { ink, soft } from './colours.ts';
import type { PrintContent, PrintedDocument } from './document.ts';

/** What stands on the label of a unit. */
export interface UnitLabel {
  /** The code of its address, drawn as SVG: the library's own codes come in whole points a cell, at half the size there is room for. */
  readonly code: string;
  readonly tag: string;
  readonly name: string;
  readonly site: string;
}

const POINTS_PER_MM = 72 / 25.4;
const mm = (millimetres: number) => millimetres * POINTS_PER_MM;

/** One label on tape of 62 mm, cut at 29 mm (common practice). */
const TAPE = { width: mm(62), height: mm(29) };
const MARGIN = mm(3);
/** A phone reads a code from ten times its size, here at a forearm's length (common practice). */
const CODE = mm(19);

/** Labels of a sheet of stickers: three across, on A4 eight down (70 × 37 mm), on Letter ten (2⅝ × 1 in). */
const sheets = {
  A4: { left: 0, top: mm(0.5), width: mm(70), height: mm(37), gap: 0 },
  LETTER: { left: 13.5, top: 36, width: 189, height: 72, gap: 9 },
} as const;
const ACROSS = 3;

/** Labels as a document: one on tape, or on a sheet of stickers in the order given. */
export function labelDocument(
  labels: readonly UnitLabel[],
  on: 'tape' | 'A4' | 'LETTER',
  company: string,
): PrintedDocument {
  const info = {
    title: labels.length === 1 ? `Label of ${labels[0]!.name}` : 'Labels of units',
    author: company,
  };
  const defaultStyle = { font: 'Barlow', fontSize: 8, color: ink, lineHeight: 1.05 };
  if (on === 'tape')
    return {
      pageSize: TAPE,
      pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
      info,
      defaultStyle,
      content: labels.map((label, i) => ({
        ...labelOf(label, company),
        ...(i > 0 && { pageBreak: 'before' }),
      })),
      footer: '',
    };
  const { left, top, width, height, gap } = sheets[on];
  const rows = Array.from({ length: Math.ceil(labels.length / ACROSS) }, (_, row) =>
    Array.from({ length: ACROSS }, (_none, column): PrintContent => {
      const label = labels[row * ACROSS + column];
      return label ? { ...labelOf(label, company), margin: [MARGIN, MARGIN, MARGIN, 0] } : '';
    }),
  );
  return {
    pageSize: on,
    pageMargins: [left, top, 0, 0],
    info,
    defaultStyle,
    content: [
      {
        table: {
          widths: [width + gap, width + gap, width],
          heights: height,
          dontBreakRows: true,
          body: rows,
        },
        layout: 'bare',
      },
    ],
    footer: '',
  };
}

function labelOf(
  { code, tag, name, site }: UnitLabel,
  company: string,
): { readonly [part: string]: unknown } {
  return {
    columns: [
      { width: CODE, svg: code, fit: [CODE, CODE] },
      {
        width: '*',
        stack: [
          ...(tag ? [{ text: tag, font: 'Condensed', bold: true, fontSize: 14 }] : []),
          { text: name, bold: true, fontSize: 9 },
          { text: site },
          { text: company, color: soft, fontSize: 7, margin: [0, 2, 0, 0] },
        ],
      },
    ],
    columnGap: 8,
  };
}
