import type { CustomerReport, UnitReport } from '../report/index.ts';
import { alarm, ink, soft } from './colours.ts';
import { mark, type PrintCell, type PrintContent, type PrintedDocument } from './document.ts';
import { caution, heading } from './fileDocument.ts';

const SIZE = 10;

/** The report for a customer: what needs somebody first, then every unit by itself. */
export function reportDocument(report: CustomerReport, pageSize: 'A4' | 'LETTER'): PrintedDocument {
  return {
    pageSize,
    pageMargins: [40, 36, 40, 38],
    info: { title: `${report.of}: ${report.period.from} to ${report.period.to}`, author: report.company },
    defaultStyle: { font: 'Barlow', fontSize: SIZE, color: ink, lineHeight: 1.15 },
    content: [head(report), overview(report), ...attention(report), ...report.units.flatMap(unitPart)],
    footer: caution(7),
  };
}

function head({ company, phone, logo, of, period, made }: CustomerReport): PrintContent {
  return {
    columns: [
      {
        width: '*',
        stack: [
          { text: of, font: 'Condensed', bold: true, fontSize: SIZE + 12 },
          { text: `Refrigeration, ${period.from} to ${period.to}`, fontSize: SIZE + 2 },
        ],
      },
      {
        width: 190,
        alignment: 'right',
        stack: [
          ...mark(logo),
          { text: company, bold: true },
          ...(phone ? [{ text: phone }] : []),
          { text: `made ${made}`, color: soft },
        ],
      },
    ],
    margin: [0, 0, 0, 10],
  };
}

const many = (n: number, one: string, several: string) => `${n} ${n === 1 ? one : several}`;

/** All of it in a sentence or two. */
function overview({ units }: CustomerReport): PrintContent {
  const sum = (count: (unit: UnitReport) => number) => units.reduce((total, unit) => total + count(unit), 0);
  const logged = units.filter(({ logs }) => logs.length > 0).length;
  const excursions = sum(({ excursions: list }) => list.length);
  const visits = new Set(units.flatMap((unit) => unit.work.map(({ day }) => `${unit.site} ${day}`))).size;
  return {
    text: [
      `${many(units.length, 'unit', 'units')}. Work on ${many(visits, 'day', 'days')} in this time. `,
      logged === 0
        ? 'No log reaches into it. '
        : `Logs of ${many(logged, 'unit', 'units')}, with ${many(excursions, 'time', 'times')} outside of the alarm limits. `,
      `${many(
        sum(({ open }) => open.length),
        'thing stays',
        'things stay',
      )} open.`,
    ],
    fontSize: SIZE + 1,
    margin: [0, 0, 0, 6],
  };
}

/** What needs somebody: outside of limits, overdue, open. */
function attention({ units }: CustomerReport): readonly PrintContent[] {
  const lines = units.flatMap((unit) => [
    ...(unit.excursions.length > 0
      ? [{ unit, words: `${many(unit.excursions.length, 'time', 'times')} outside of its limits` }]
      : []),
    ...unit.calibrations
      .filter(({ overdue }) => overdue)
      .map(({ probe, nextDue }) => ({ unit, words: `calibration of ${probe} overdue since ${nextDue}` })),
    ...unit.next
      .filter(({ overdue }) => overdue)
      .map(({ due, what }) => ({ unit, words: `${what}, overdue since ${due}` })),
  ]);
  if (lines.length === 0) return [];
  return [
    {
      margin: [0, 2, 0, 8],
      stack: [
        heading('Needs somebody', SIZE),
        {
          ul: lines.map(({ unit, words }) => ({ text: [{ text: `${nameOf(unit)}: `, bold: true }, words] })),
        },
      ],
    },
  ];
}

const nameOf = ({ tag, name }: UnitReport) => [tag, name].filter(Boolean).join(' ');

function unitPart(unit: UnitReport): readonly PrintContent[] {
  const title: PrintContent = {
    margin: [0, 12, 0, 2],
    // A title is not left alone at the foot of a page.
    headlineLevel: 1,
    table: {
      widths: ['*', 'auto'],
      body: [
        [
          { text: nameOf(unit), font: 'Condensed', bold: true, fontSize: SIZE + 4 },
          {
            text: [unit.site, unit.control, unit.plate].filter(Boolean).join(' · '),
            alignment: 'right',
            color: soft,
            margin: [0, 4, 0, 0],
          },
        ],
      ],
    },
    layout: 'underlined',
  };
  const [first, ...others] = [
    part('Set to', setTo(unit)),
    part(
      'Done',
      table(
        unit.work.map(({ day, words, by }) => [day, words, by]),
        ['auto', '*', 'auto'],
      ),
    ),
    part('Logs', logs(unit)),
    part(
      'Calibrated',
      table(
        unit.calibrations.map((c) => [
          c.probe,
          `${c.day}: ${c.words}`,
          c.nextDue === '' ? '' : inColour(`next ${c.nextDue}${c.overdue ? ', overdue' : ''}`, c.overdue),
        ]),
        ['auto', '*', 'auto'],
      ),
    ),
    part('Open', open(unit)),
  ].flat();
  return [{ unbreakable: true, stack: [title, first!] }, ...others];
}

function part(title: string, content: PrintContent | null): readonly PrintContent[] {
  if (content === null) return [];
  return [
    {
      columns: [
        { width: 64, text: title, color: soft },
        { width: '*', stack: [content] },
      ],
      margin: [0, 2, 0, 2],
    },
  ];
}

function setTo({ setTo: lines, notYet, control }: UnitReport): PrintContent {
  const rest =
    notYet === 0 ? '' : ` ${many(notYet, 'value is', 'values are')} planned and not in the unit yet.`;
  if (lines.length > 0) return { text: [lines.join(' '), { text: rest, bold: true }] };
  return {
    text: `${control === '' ? 'No control was chosen for it yet.' : 'Nothing is known to be set in it yet.'}${rest}`,
  };
}

function logs({ logs: taken, excursions }: UnitReport): PrintContent | null {
  if (taken.length === 0) return null;
  return {
    stack: [
      ...taken.map(({ name, from, to, words }) => ({ text: `${name}: ${from} to ${to}, ${words}` })),
      excursions.length === 0
        ? { text: 'Never outside of its alarm limits for longer than the alarm waits.', color: soft }
        : table(
            excursions.slice(0, MOST_EXCURSIONS).map((e) => [e.from, inColour(e.words, true)]),
            ['auto', '*'],
          )!,
      ...(excursions.length > MOST_EXCURSIONS
        ? [{ text: `${excursions.length - MOST_EXCURSIONS} more stand in the spreadsheet.`, color: soft }]
        : []),
    ],
  };
}
/** Of one unit so many are printed. */
const MOST_EXCURSIONS = 40;

function open({ open: items, next }: UnitReport): PrintContent | null {
  if (items.length + next.length === 0) return null;
  return {
    ul: [
      ...items.map(({ words, because }) => `${words}${because ? `: ${because}` : ''}`),
      ...next.map(({ due, what, overdue }) =>
        inColour(`${due}${overdue ? ', overdue' : ''}: ${what}`, overdue),
      ),
    ],
  };
}

/** Said in words, and in the colour of what needs somebody. */
const inColour = (text: string, wrong: boolean): PrintCell => (wrong ? { text, color: alarm } : { text });

function table(
  rows: readonly (readonly PrintCell[])[],
  widths: readonly (string | number)[],
): PrintContent | null {
  return rows.length === 0
    ? null
    : { table: { widths, body: rows.map((row) => [...row]) }, layout: 'hairlines' };
}
