import type { LabelledRow } from './labelled/rows.ts';
import { labelledRows } from './labelled/rows.ts';

/** A row as a booklet of a test prints it, with its code. */
export interface PrintedRow extends LabelledRow {
  readonly code: string;
}

/** Rows that hold a number with a whole range, coded as booklets do: letter and number, short words, plain numbers. */
export function printedRows(count: number, codes: 'letters' | 'words' | 'numbers'): readonly PrintedRow[] {
  const rows = labelledRows('test').filter(
    (row) => row.min !== '' && row.max !== '' && row.default !== '' && /^-?[\d.]+$/.test(row.default),
  );
  const step = Math.max(1, Math.floor(rows.length / count));
  const words = [
    'SP',
    'rd',
    'Hy',
    'AC',
    'dF',
    'FnC',
    'ALH',
    'ot1',
    'HES',
    'dtE',
    'idF',
    'MdF',
    'Odc',
    'Lod',
    'rES',
    'dLy',
  ];
  return rows
    .filter((_, i) => i % step === 0)
    .slice(0, count)
    .map((row, i) => ({
      ...row,
      code:
        codes === 'numbers'
          ? String(i + 1)
          : codes === 'words'
            ? `${words[i % words.length]!}${i >= words.length ? Math.floor(i / words.length) : ''}`
            : `${'CDFAHr'[Math.floor(i / 9) % 6]!}${String((i % 9) + 1).padStart(2, '0')}`,
    }));
}

/** A layout: how a booklet prints rows, with everything around them that is no row. */
export interface Layout {
  readonly name: string;
  print(rows: readonly PrintedRow[]): string;
}

const signed = (text: string) => (text.startsWith('-') ? text : `+${text}`);
const groups = [
  'REGULATION',
  'Compressor protection',
  'DEFROST',
  'Evaporator fan',
  'ALARMS',
  'Inputs and display',
];
/** Something between the rows, every so often. */
const between = (
  rows: readonly PrintedRow[],
  every: number,
  line: (row: PrintedRow) => string,
  what: (n: number) => readonly string[],
) => rows.flatMap((row, i) => [...(i % every === 0 ? what(i / every) : []), line(row)]).join('\n');
/** A description broken where a narrow column would break it. */
function broken(text: string, width: number): readonly [string, string] {
  if (text.length <= width) return [text, ''];
  const at = text.lastIndexOf(' ', width);
  return at < 8 ? [text, ''] : [text.slice(0, at), text.slice(at + 1)];
}

export const layouts: readonly Layout[] = [
  {
    name: 'single spaces, a heading line',
    print: (rows) =>
      [
        'Code Description Min Max Unit Default',
        ...rows.map((r) =>
          `${r.code} ${r.description} ${r.min} ${r.max} ${r.unit} ${r.default}`.replace(/\s+/g, ' '),
        ),
      ].join('\n'),
  },
  {
    name: 'single spaces, no heading line, factory value before the range',
    print: (rows) =>
      rows
        .map((r) =>
          `${r.code} ${r.description} ${r.default} ${r.min} ${r.max} ${r.unit}`.replace(/\s+/g, ' ').trim(),
        )
        .join('\n'),
  },
  {
    name: 'single spaces, ranges with three dots and plus signs, groups, page headers and footnotes',
    print: (rows) =>
      [
        'Instructions for use',
        'The parameters below are reached by holding the key for five seconds.',
        between(
          rows,
          9,
          (r) =>
            `${r.code} ${r.description} ${r.min} ... ${signed(r.max)} ${r.unit} ${r.default}`.replace(
              /\s+/g,
              ' ',
            ),
          (n) => [
            ...(n > 0
              ? [`Rev. 1.${n} 04/26 Page ${n + 3} of 12`, 'Par. Description Range U.M. Def.']
              : ['Par. Description Range U.M. Def.']),
            groups[n % groups.length]!,
          ],
        ),
        '* Only on models with a second relay.',
        'Note: after a change of the unit check every value.',
      ].join('\n'),
  },
  {
    name: 'wide columns, descriptions wrapped',
    print: (rows) =>
      [
        `Label   ${'Parameter'.padEnd(32)}Min.    Max.    Fact.   U.M.`,
        ...rows.flatMap((r) => {
          const [first, rest] = broken(r.description, 30);
          return [
            `${r.code.padEnd(8)}${first.padEnd(32)}${r.min.padEnd(8)}${r.max.padEnd(8)}${r.default.padEnd(8)}${r.unit || '-'}`,
            ...(rest === '' ? [] : [`        ${rest}`]),
          ];
        }),
      ].join('\n'),
  },
  {
    name: 'bars, with group lines and a note',
    print: (rows) =>
      [
        '| Code | Parameter | Range | Factory | Unit |',
        '|---|---|---|---|---|',
        between(
          rows,
          10,
          (r) => `| ${r.code} | ${r.description} | ${r.min}÷${r.max} | ${r.default} | ${r.unit} |`,
          (n) => [`| ${groups[n % groups.length]!} | | | | |`],
        ),
        '| Note: values in brackets apply to the small model | | | | |',
      ].join('\n'),
  },
  {
    name: 'semicolons, description first, range before the code, your own value left blank',
    print: (rows) =>
      [
        'Meaning;Min;Max;Default value;Unit;Code;Your setting',
        ...rows.map(
          (r) => `${r.description.replaceAll(';', ',')};${r.min};${r.max};${r.default};${r.unit};${r.code};`,
        ),
      ].join('\n'),
  },
  {
    name: 'tabs, two languages side by side',
    print: (rows) =>
      [
        'Par.\tDescription\tBeschreibung\tRange\tDef.',
        ...rows.map(
          (r) =>
            `${r.code}\t${r.description}\tWert ${r.code} einstellen\t${r.min} to ${r.max} ${r.unit}\t${r.default}`,
        ),
      ].join('\n'),
  },
  {
    name: 'text, the factory value in brackets',
    print: (rows) =>
      rows
        .map((r) =>
          `${r.code}: ${r.description}, ${r.min} to ${r.max} ${r.unit}, default ${r.default}`
            .replace(/\s+,/g, ',')
            .replace(/ {2,}/g, ' '),
        )
        .join('\n'),
  },
  {
    name: 'single spaces, wrapped before the numbers',
    print: (rows) =>
      rows
        .flatMap((r) => {
          const [first, rest] = broken(r.description, 24);
          const numbers = `${r.min} ${r.max} ${r.default} ${r.unit}`.trim();
          return rest === ''
            ? [`${r.code} ${first} ${numbers}`]
            : [`${r.code} ${first}`, `${rest} ${numbers}`];
        })
        .join('\n'),
  },
  {
    name: 'commas with headings named otherwise and a preamble',
    print: (rows) =>
      [
        'Parameter list of the controller',
        'Item,Function,Lower limit,Upper limit,Preset,Units',
        ...rows.map((r) =>
          [r.code, r.description, r.min, r.max, r.default, r.unit]
            .map((c) => (/[",]/.test(c) ? `"${c.replaceAll('"', '""')}"` : c))
            .join(','),
        ),
      ].join('\n'),
  },
];
