import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import pdfmake from 'pdfmake';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { LeaveBehindSheet, SheetGroup } from '@brine/core/handover';

const require = createRequire(import.meta.url);
const fontFolder = (name: string) => `${dirname(require.resolve(`@fontsource/${name}/package.json`))}/files/`;
const [barlow, condensed, mono] = [
  fontFolder('barlow'),
  fontFolder('barlow-semi-condensed'),
  fontFolder('spline-sans-mono'),
];

pdfmake.setFonts({
  Barlow: {
    normal: `${barlow}barlow-latin-400-normal.woff`,
    bold: `${barlow}barlow-latin-600-normal.woff`,
    italics: `${barlow}barlow-latin-400-italic.woff`,
    bolditalics: `${barlow}barlow-latin-600-italic.woff`,
  },
  Condensed: {
    normal: `${condensed}barlow-semi-condensed-latin-500-normal.woff`,
    bold: `${condensed}barlow-semi-condensed-latin-700-normal.woff`,
  },
  Mono: {
    normal: `${mono}spline-sans-mono-latin-400-normal.woff`,
    bold: `${mono}spline-sans-mono-latin-600-normal.woff`,
  },
});
// Only our own fonts are read, and nothing is fetched, whatever a document names.
pdfmake.setLocalAccessPolicy((path: string) =>
  [barlow, condensed, mono].some((folder) => path.startsWith(folder)),
);
pdfmake.setUrlAccessPolicy(() => false);

const ink = '#17282B';
const soft = '#5C6B6C';
const hairline = '#CFCBBF';

/** Type sizes tried, pt; below the last nobody reads it in a cabinet. */
const sizes = [8, 7.4, 6.9, 6.4, 6, 5.6];

/**
 * Renders the sheet as a PDF, A4 or Letter: on one page, in the largest type that fits it. A second page comes only where even the smallest
 * type does not fit.
 */
export async function renderSheet(sheet: LeaveBehindSheet, pageSize: 'A4' | 'LETTER'): Promise<Uint8Array> {
  for (const size of sizes.slice(0, -1)) {
    const { bytes, pages } = await renderIn(sheet, pageSize, size);
    if (pages === 1) return bytes;
  }
  return (await renderIn(sheet, pageSize, sizes.at(-1)!)).bytes;
}

async function renderIn(
  sheet: LeaveBehindSheet,
  pageSize: 'A4' | 'LETTER',
  size: number,
): Promise<{ readonly bytes: Uint8Array; readonly pages: number }> {
  let pages = 0;
  const document: TDocumentDefinitions = {
    pageSize,
    pageMargins: [34, 30, 34, 34],
    info: { title: `${sheet.unit}: settings of the ${sheet.control}`, author: sheet.company },
    defaultStyle: { font: 'Barlow', fontSize: size, color: ink, lineHeight: 1.1 },
    content: [head(sheet, size), settings(sheet, size), builtIn(sheet), below(sheet, size)],
    footer: (_, count) => {
      pages = count;
      return {
        margin: [34, 6, 34, 0],
        fontSize: 6.5,
        color: soft,
        text: 'Isolate, lock out and prove dead before touching terminals. Refrigerant work only by certified persons. Local codes and licensed practice come first. Whether goods that were out of range may be kept is for their owner and the authority to decide.',
      };
    },
  };
  const bytes = await pdfmake.createPdf(document).getBuffer();
  return { bytes, pages };
}

function head(sheet: LeaveBehindSheet, size: number): Content {
  return {
    columns: [
      {
        width: '*',
        stack: [
          { text: sheet.unit, font: 'Condensed', bold: true, fontSize: size + 9 },
          { text: [sheet.site, ...sheet.plate].join(' · '), color: soft },
        ],
      },
      {
        width: 'auto',
        alignment: 'right',
        stack: [
          { text: sheet.control, font: 'Condensed', bold: true, fontSize: size + 3 },
          { text: `Set by ${sheet.by} · ${sheet.date}` },
          { text: sheet.company, color: soft },
        ],
      },
    ],
    margin: [0, 0, 0, 8],
  };
}

function settings(sheet: LeaveBehindSheet, size: number): Content {
  const header: TableCell[] = ['Code', 'Meaning', 'Set to', 'Found', 'Remark'].map((text) => ({
    text,
    color: soft,
    fontSize: size - 0.5,
  }));
  return {
    table: {
      headerRows: 1,
      widths: [42, '*', 'auto', 'auto', 120],
      body: [header, ...sheet.groups.flatMap(rowsOf)],
    },
    layout: {
      hLineWidth: (i: number) => (i === 1 ? 0.8 : 0.4),
      vLineWidth: () => 0,
      hLineColor: (i: number) => (i === 1 ? ink : hairline),
      paddingTop: () => 1.3,
      paddingBottom: () => 1.1,
      paddingLeft: (i: number) => (i === 0 ? 0 : 8),
      paddingRight: () => 0,
    },
  };
}

function rowsOf(group: SheetGroup): TableCell[][] {
  const title: TableCell[] = [
    { text: group.title, colSpan: 5, font: 'Condensed', bold: true, fillColor: '#ECEAE2' },
    {},
    {},
    {},
    {},
  ];
  return [
    title,
    ...group.lines.map((line): TableCell[] => [
      { text: line.code, font: 'Mono', bold: true },
      line.meaning,
      { text: line.value, font: 'Mono', bold: true },
      { text: line.found, font: 'Mono', color: soft },
      { text: line.remark, italics: true, color: soft },
    ]),
  ];
}

function builtIn(sheet: LeaveBehindSheet): Content {
  if (sheet.builtIn.length === 0) return { text: '' };
  return {
    text: [{ text: 'Built in: ', bold: true }, sheet.builtIn.join('; ')],
    color: soft,
    margin: [0, 4, 0, 0],
  };
}

function below(sheet: LeaveBehindSheet, size: number): Content {
  const heading = (text: string): Content => ({
    text,
    font: 'Condensed',
    bold: true,
    fontSize: size + 1.5,
    margin: [0, 0, 0, 2],
  });
  const list = (lines: readonly string[], empty: string): Content =>
    lines.length > 0 ? { ul: [...lines] } : { text: empty, color: soft };
  return {
    columns: [
      {
        width: '*',
        stack: [
          heading('What to watch'),
          list(sheet.watch, 'Nothing beyond the usual: look at the frost after three days.'),
          ...(sheet.lost.length > 0
            ? [
                { text: '', margin: [0, 3, 0, 0] } as Content,
                heading('This control cannot do'),
                list(sheet.lost, ''),
              ]
            : []),
        ],
      },
      {
        width: '*',
        stack: [
          heading('If it shows'),
          ...sheet.alarms.map((alarm): Content => ({
            text: [
              { text: alarm.code, font: 'Mono', bold: true },
              `  ${alarm.means}. `,
              { text: alarm.firstChecks.join('; '), color: soft },
            ],
            margin: [0, 0, 0, 1],
          })),
        ],
      },
    ],
    columnGap: 18,
    margin: [0, 8, 0, 0],
  };
}
