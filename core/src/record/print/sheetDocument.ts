import type { LeaveBehindSheet, SheetGroup, SheetWire } from '../handover/index.ts';
import { ink, soft } from './colours.ts';
import type { PrintCell, PrintContent, PrintedDocument } from './document.ts';

/** The sheet as a document for a printer of PDF, in one size of type, pt. */
export function sheetDocument(
  sheet: LeaveBehindSheet,
  pageSize: 'A4' | 'LETTER',
  size: number,
  type: 'small' | 'large',
): PrintedDocument {
  return {
    pageSize,
    pageMargins: [34, 30, 34, 34],
    info: { title: `${sheet.unit}: settings of the ${sheet.control}`, author: sheet.company },
    defaultStyle: { font: 'Barlow', fontSize: size, color: ink, lineHeight: 1.1 },
    content: [
      head(sheet, size),
      settings(sheet, size),
      builtIn(sheet),
      below(sheet, size),
      ...workDone(sheet, size, type === 'small'),
      ...signOff(sheet, size),
    ],
    footer: {
      margin: [34, 6, 34, 0],
      fontSize: 6.5,
      color: soft,
      text: 'Isolate, lock out and prove dead before touching terminals. Refrigerant work only by certified persons. Local codes and licensed practice come first. Whether product that was out of range may be kept is for its owner and the authority to decide.',
    },
  };
}

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

function settings(sheet: LeaveBehindSheet, size: number): PrintContent {
  const header: PrintCell[] = ['Code', 'Meaning', 'Set to', 'Found', 'Remark'].map((text) => ({
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
    layout: 'settings',
  };
}

function rowsOf(group: SheetGroup): PrintCell[][] {
  const title: PrintCell[] = [
    { text: group.title, colSpan: 5, font: 'Condensed', bold: true, fillColor: '#ECEAE2' },
    {},
    {},
    {},
    {},
  ];
  return [
    title,
    ...group.lines.map((line): PrintCell[] => [
      { text: line.code, font: 'Mono', bold: true },
      line.meaning,
      { text: line.value, font: 'Mono', bold: true },
      { text: line.found, font: 'Mono', color: soft },
      { text: line.remark, italics: true, color: soft },
    ]),
  ];
}

function builtIn(sheet: LeaveBehindSheet): PrintContent {
  if (sheet.builtIn.length === 0) return { text: '' };
  return {
    text: [{ text: 'Built in: ', bold: true }, sheet.builtIn.join('; ')],
    color: soft,
    margin: [0, 4, 0, 0],
  };
}

const heading = (text: string, size: number): PrintContent => ({
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
  '●': 'the round key',
  '★': 'the star key',
};
const inLetters = (text: string) =>
  text.replace(/[^\u0020-\u024f\u2010-\u2030]/g, (sign) => signs[sign] ?? 'the key with a sign');

/** What was wired, read and calibrated: the second page of small type; large type needs the room and flows on. */
function workDone(sheet: LeaveBehindSheet, size: number, ownPage: boolean): readonly PrintContent[] {
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
  if (parts.length === 0) return [];
  return [ownPage ? { stack: parts, pageBreak: 'before' } : { stack: parts, margin: [0, 10, 0, 0] }];
}

function inTwo(lines: readonly string[]): PrintContent {
  const half = Math.ceil(lines.length / 2);
  return { columns: [{ ul: lines.slice(0, half) }, { ul: lines.slice(half) }], columnGap: 18 };
}

/** Name and drawn signature of who took it over. */
function signOff({ signOff: signed }: LeaveBehindSheet, size: number): readonly PrintContent[] {
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
