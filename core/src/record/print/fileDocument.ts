import type { LeaveBehindSheet, SheetLine, SheetWire } from '../handover/index.ts';
import { ink, soft } from './colours.ts';
import { mark, type PrintCell, type PrintContent, type PrintedDocument } from './document.ts';

/** The pages for the file: every code, what was wired, read and proven, what stays open, in one size of type, pt. */
export function fileDocument(
  sheet: LeaveBehindSheet,
  pageSize: 'A4' | 'LETTER',
  size: number,
): PrintedDocument {
  return {
    pageSize,
    pageMargins: [34, 30, 34, 34],
    info: { title: `${sheet.unit}: settings of the ${sheet.control}`, author: sheet.company },
    defaultStyle: { font: 'Barlow', fontSize: size, color: ink, lineHeight: 1.1 },
    content: [
      head(sheet, size),
      ...about(sheet, size),
      ...open(sheet, size),
      ...settings(sheet, size),
      builtIn(sheet),
      below(sheet, size),
      ...tests(sheet, size),
      ...workDone(sheet, size),
      ...signOff(sheet, size),
    ],
    footer: caution(6.5),
  };
}

/** The caution that stands below every page. */
export const caution = (size: number): PrintContent => ({
  margin: [34, 6, 34, 0],
  fontSize: size,
  color: soft,
  text: 'Isolate, lock out and prove dead before touching terminals. Refrigerant work only by certified persons. Local codes and licensed practice come first. Whether product that was out of range may be kept is for its owner and the authority to decide.',
});

/** What was wrong, and what was behind it. */
function about(sheet: LeaveBehindSheet, size: number): readonly PrintContent[] {
  const lines = [
    ...(sheet.complaint ? [{ label: 'Complaint', text: sheet.complaint }] : []),
    ...(sheet.verdict ? [{ label: 'Found', text: sheet.verdict }] : []),
  ];
  return lines.length === 0
    ? []
    : [
        {
          stack: lines.map(({ label, text }) => ({ text: [{ text: `${label}: `, bold: true }, text] })),
          fontSize: size + 0.5,
          margin: [0, 0, 0, 6],
        },
      ];
}

/** What stays open, first of all: nobody is to take a plan for what is in the unit. */
function open(sheet: LeaveBehindSheet, size: number): readonly PrintContent[] {
  if (sheet.open.length === 0) return [];
  const named = (items: readonly string[]) =>
    items.length > MOST_NAMED
      ? `${items.slice(0, MOST_NAMED).join(' ')} And ${items.length - MOST_NAMED} more.`
      : items.join(' ');
  return [
    {
      stack: [
        heading('Left open', size),
        {
          ul: sheet.open.map(({ words, items, because }) => ({
            text: [
              { text: words, bold: true },
              because ? `: ${because}. ` : ': nobody said why. ',
              { text: named(items), color: soft },
            ],
          })),
        },
      ],
      margin: [0, 0, 0, 8],
    },
  ];
}
/** Of a kind so many items are told by name; the codes among them stand in the table below. */
const MOST_NAMED = 8;

function head(sheet: LeaveBehindSheet, size: number): PrintContent {
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
        width: 170,
        alignment: 'right',
        stack: [
          ...mark(sheet.logo),
          { text: sheet.control, font: 'Condensed', bold: true, fontSize: size + 3 },
          { text: `Set by ${sheet.by} · ${sheet.date}` },
          { text: sheet.company, color: soft },
        ],
      },
      ...(sheet.link
        ? [
            {
              width: 'auto',
              stack: [
                { qr: sheet.link, fit: 62, foreground: ink },
                { text: 'This unit, always up to date', fontSize: 6, color: soft },
              ],
            } as PrintContent,
          ]
        : []),
    ],
    columnGap: 14,
    margin: [0, 0, 0, 8],
  };
}

/** A table a group: one that fits on a page is never torn in two. */
function settings(sheet: LeaveBehindSheet, size: number): readonly PrintContent[] {
  const small = (text: string): PrintCell => ({ text, color: soft, fontSize: size - 0.5 });
  const header: PrintCell[] = ['', 'Meaning', 'In the unit', 'Found', 'Remark'].map(small);
  return sheet.groups.map((group): PrintContent => {
    const [, ...columns] = header;
    const title: PrintCell = { text: group.title, font: 'Condensed', bold: true, fillColor: '#ECEAE2' };
    return {
      unbreakable: group.lines.length <= MOST_TOGETHER,
      margin: [0, 0, 0, 4],
      table: {
        headerRows: 1,
        // The same in every group: the eye runs down one column.
        widths: [50, '*', 96, 72, 138],
        body: [[title, ...columns], ...group.lines.map(rowOf)],
      },
      layout: 'settings',
    };
  });
}
/** A group of more lines is longer than a page may be left empty for. */
const MOST_TOGETHER = 30;

const rowOf = (line: SheetLine): PrintCell[] => [
  { text: line.code, font: 'Mono', bold: true },
  line.meaning,
  { text: line.value, font: 'Mono', bold: true },
  { text: line.found, font: 'Mono', color: soft },
  { text: line.remark, italics: true, color: soft },
];

function builtIn(sheet: LeaveBehindSheet): PrintContent {
  if (sheet.builtIn.length === 0) return { text: '' };
  return {
    text: [{ text: 'Built in: ', bold: true }, sheet.builtIn.join('; ')],
    color: soft,
    margin: [0, 4, 0, 0],
  };
}

export const heading = (text: string, size: number): PrintContent => ({
  text,
  font: 'Condensed',
  bold: true,
  fontSize: size + 1.5,
  margin: [0, 0, 0, 2],
});
const list = (lines: readonly string[], empty: string): PrintContent =>
  lines.length > 0 ? { ul: [...lines] } : { text: empty, color: soft };
const space = { text: '', margin: [0, 3, 0, 0] } as PrintContent;

function below(sheet: LeaveBehindSheet, size: number): PrintContent {
  return {
    columns: [
      {
        width: '*',
        stack: [
          heading('What to watch', size),
          list(sheet.watch, 'Nothing beyond the usual: look at the frost after three days.'),
          ...(sheet.keypadLocked === null
            ? []
            : [
                {
                  text: sheet.keypadLocked ? 'The keypad is locked.' : 'The keypad is not locked.',
                  margin: [0, 2, 0, 0],
                } as PrintContent,
              ]),
          ...(sheet.next.length > 0
            ? [
                space,
                heading('Next dates', size),
                list(
                  sheet.next.map((n) => `${n.due}: ${n.what}`),
                  '',
                ),
              ]
            : []),
          ...(sheet.lost.length > 0
            ? [space, heading('This control cannot do, or it is not known', size), list(sheet.lost, '')]
            : []),
        ],
      },
      {
        width: '*',
        stack: [
          heading('If it shows', size),
          ...sheet.alarms.map((alarm): PrintContent => ({
            text: [
              { text: alarm.code, font: 'Mono', bold: true },
              `  ${alarm.means}. `,
              { text: alarm.firstChecks.join('; '), color: soft },
            ],
            margin: [0, 0, 0, 1],
          })),
          ...(sheet.direct.length > 0
            ? [space, heading('Without the menu', size), list(sheet.direct.map(inLetters), '')]
            : []),
        ],
      },
    ],
    columnGap: 18,
    margin: [0, 8, 0, 0],
  };
}

/** Signs on keys that the sheet's fonts have no letter for. */
const signs: Readonly<Record<string, string>> = {
  '▲': 'UP',
  '△': 'UP',
  '▼': 'DOWN',
  '▽': 'DOWN',
  '▶': 'RIGHT',
  '◀': 'LEFT',
  '▸': 'RIGHT',
  '◂': 'LEFT',
  '●': 'the round key',
  '○': 'the ring key',
  '◆': 'the diamond key',
  '◇': 'the diamond key',
  '■': 'the square key',
  '□': 'the square key',
  '★': 'the star key',
  '☆': 'the star key',
  '⌂': 'the house key',
  '☰': 'the key with three lines',
  '☀': 'the sun key',
  '☼': 'the sun key',
  '❄': 'the frost key',
  '⏻': 'the power key',
  '↵': 'ENTER',
  '⏎': 'ENTER',
};
/** Words for keys whose signs the fonts lack. */
export const inLetters = (text: string) =>
  text.replace(/[^\u0020-\u024f\u2010-\u2030\u2212]/g, (sign) => signs[sign] ?? 'the key with a sign');

function tests(sheet: LeaveBehindSheet, size: number): readonly PrintContent[] {
  if (sheet.tests.length === 0) return [];
  const row = ({ title, result, remark }: LeaveBehindSheet['tests'][number]): PrintCell[] => [
    title,
    { text: result, bold: result !== 'passed', noWrap: true },
    { text: remark, color: soft },
  ];
  const half = Math.ceil(sheet.tests.length / 2);
  const column = (list: LeaveBehindSheet['tests']): PrintContent =>
    list.length === 0
      ? { text: '' }
      : { table: { widths: ['*', 'auto', 'auto'], body: list.map(row) }, layout: 'hairlines' };
  return [
    {
      unbreakable: true,
      margin: [0, 10, 0, 0],
      stack: [
        heading('Tests', size),
        { columns: [column(sheet.tests.slice(0, half)), column(sheet.tests.slice(half))], columnGap: 18 },
      ],
    },
  ];
}

/** What was wired, read and calibrated. */
function workDone(sheet: LeaveBehindSheet, size: number): readonly PrintContent[] {
  const parts: PrintContent[] = [];
  if (sheet.wires.length > 0) {
    const cell = (text: string): PrintCell => ({ text });
    const wire = (w: SheetWire): PrintCell[] => [
      { text: w.label, font: 'Mono', bold: true },
      cell(w.from),
      cell(w.to),
      cell(w.colour),
    ];
    const half = Math.ceil(sheet.wires.length / 2);
    const column = (wires: readonly SheetWire[]): PrintContent =>
      wires.length === 0
        ? { text: '' }
        : { table: { widths: ['auto', '*', '*', 'auto'], body: wires.map(wire) }, layout: 'hairlines' };
    parts.push(
      heading('Wires', size),
      { columns: [column(sheet.wires.slice(0, half)), column(sheet.wires.slice(half))], columnGap: 18 },
      space,
    );
  }
  if (sheet.readings.length > 0) parts.push(heading('Readings', size), inTwo(sheet.readings), space);
  if (sheet.calibrations.length > 0)
    parts.push(heading('Calibrations', size), list(sheet.calibrations, ''), space);
  return parts.length === 0 ? [] : [{ stack: parts, margin: [0, 10, 0, 0] }];
}

function inTwo(lines: readonly string[]): PrintContent {
  const half = Math.ceil(lines.length / 2);
  return { columns: [{ ul: lines.slice(0, half) }, { ul: lines.slice(half) }], columnGap: 18 };
}

/** Name and drawn signature of who took it over. */
export function signOff({ signOff: signed }: LeaveBehindSheet, size: number): readonly PrintContent[] {
  if (!signed) return [];
  const line = (stroke: readonly number[]) => {
    const points = Array.from(
      { length: stroke.length / 2 },
      (_, i) => `${(stroke[2 * i]! * 300).toFixed(1)} ${(stroke[2 * i + 1]! * 90).toFixed(1)}`,
    );
    return points.length > 1
      ? `<path d="M${points.join(' L')}" fill="none" stroke="${ink}" stroke-width="1.6"/>`
      : '';
  };
  const drawn = signed.strokes.map(line).join('');
  return [
    {
      unbreakable: true,
      margin: [0, 8, 0, 0],
      stack: [
        {
          text: [
            { text: 'Taken over by ', color: soft },
            { text: signed.name, bold: true },
          ],
          fontSize: size,
        },
        ...(drawn === ''
          ? []
          : [
              {
                svg: `<svg viewBox="0 0 300 90" width="300" height="90">${drawn}</svg>`,
                width: 130,
              } as PrintContent,
            ]),
      ],
    },
  ];
}
