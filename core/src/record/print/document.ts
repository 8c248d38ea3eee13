import { hairline, ink } from './colours.ts';

/** A piece of a printed page, in the words of the PDF library: text, columns, tables, lists, each plain data. */
export type PrintContent = string | { readonly [part: string]: unknown };
export type PrintCell = PrintContent;

/** A document for the PDF library. Its lines between rows are named, so that it stays plain data. */
export interface PrintedDocument {
  /** A paper by name, or its sides in points. */
  readonly pageSize: 'A4' | 'LETTER' | { readonly width: number; readonly height: number };
  readonly pageMargins: readonly [number, number, number, number];
  readonly info: { readonly title: string; readonly author: string };
  readonly defaultStyle: Readonly<Record<string, unknown>>;
  readonly content: readonly PrintContent[];
  /** On every page. */
  readonly footer: PrintContent;
}

/** The company’s mark, in the right upper corner of a paper; nothing where there is none. */
export const mark = (logo: string | null): readonly PrintContent[] =>
  logo === null ? [] : [{ image: logo, fit: [150, 34], alignment: 'right', margin: [0, 0, 0, 3] }];

/** Lines of the tables by name, as the library wants them. */
export const tableLayouts = {
  bare: {
    hLineWidth: () => 0,
    vLineWidth: () => 0,
    paddingTop: () => 0,
    paddingBottom: () => 0,
    paddingLeft: () => 0,
    paddingRight: () => 0,
  },
  settings: {
    hLineWidth: (row: number) => (row === 1 ? 0.8 : 0.4),
    vLineWidth: () => 0,
    hLineColor: (row: number) => (row === 1 ? ink : hairline),
    paddingTop: () => 1.3,
    paddingBottom: () => 1.1,
    paddingLeft: (column: number) => (column === 0 ? 0 : 8),
    paddingRight: () => 0,
  },
  underlined: {
    hLineWidth: (row: number) => (row === 1 ? 0.8 : 0),
    vLineWidth: () => 0,
    hLineColor: () => ink,
    paddingTop: () => 0,
    paddingBottom: () => 1,
    paddingLeft: () => 0,
    paddingRight: () => 0,
  },
  hairlines: {
    hLineWidth: () => 0.4,
    vLineWidth: () => 0,
    hLineColor: () => hairline,
    paddingTop: () => 1,
    paddingBottom: () => 1,
    paddingLeft: (column: number) => (column === 0 ? 0 : 6),
    paddingRight: () => 0,
  },
};

/** The faces a document is set in, each with the file of its font in our packages. */
export const printFonts = {
  Barlow: {
    normal: 'barlow/files/barlow-latin-400-normal.woff',
    bold: 'barlow/files/barlow-latin-600-normal.woff',
    italics: 'barlow/files/barlow-latin-400-italic.woff',
    bolditalics: 'barlow/files/barlow-latin-600-italic.woff',
  },
  Condensed: {
    normal: 'barlow-semi-condensed/files/barlow-semi-condensed-latin-500-normal.woff',
    bold: 'barlow-semi-condensed/files/barlow-semi-condensed-latin-700-normal.woff',
  },
  Mono: {
    normal: 'spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff',
    bold: 'spline-sans-mono/files/spline-sans-mono-latin-600-normal.woff',
  },
} as const;
