import type { LeaveBehindSheet, SheetOpen } from '../handover/index.ts';
import { ink, soft } from './colours.ts';
import { mark, type PrintContent, type PrintedDocument } from './document.ts';
import { inLetters, signOff } from './fileDocument.ts';

/** How much the page for the site tells, from everything to what nobody there can do without. */
export interface SiteFullness {
  /** Size of type, pt; never under {@link SMALLEST_SITE_TYPE}. */
  readonly size: number;
  /** What to look at first, beside what an alarm means. */
  readonly checks: boolean;
  /** Alarms that stop something always stand; of the others so many. */
  readonly otherAlarms: number;
  readonly open: 'named' | 'counted';
}

/** Somebody without glasses reads it on a dark wall (common practice: 11 pt). */
export const SMALLEST_SITE_TYPE = 11;

/** Tried in this order until all of it stands on one page. */
export const siteTries: readonly SiteFullness[] = [
  { size: 13, checks: true, otherAlarms: Infinity, open: 'named' },
  { size: 12, checks: true, otherAlarms: Infinity, open: 'named' },
  { size: 11, checks: true, otherAlarms: Infinity, open: 'named' },
  { size: 11, checks: true, otherAlarms: Infinity, open: 'counted' },
  { size: 11, checks: false, otherAlarms: Infinity, open: 'counted' },
  { size: 11, checks: false, otherAlarms: 6, open: 'counted' },
  { size: 11, checks: false, otherAlarms: 0, open: 'counted' },
];

/** The page for the people on site: what it is set to, what the display means, what they may do, what to watch, whom to call. */
export function siteDocument(
  sheet: LeaveBehindSheet,
  pageSize: 'A4' | 'LETTER',
  fullness: SiteFullness,
): PrintedDocument {
  const { size } = fullness;
  return {
    pageSize,
    pageMargins: [40, 34, 40, 62],
    info: { title: `${sheet.unit}: for the site`, author: sheet.company },
    defaultStyle: { font: 'Barlow', fontSize: size, color: ink, lineHeight: 1.15 },
    content: [
      head(sheet, size),
      part('What it is set to', size, setTo(sheet)),
      ...openLines(sheet, fullness),
      part(
        'What to watch',
        size,
        listOr(watched(sheet, fullness), 'Frost on the coil, and whether it holds its temperature.'),
      ),
      ...alarms(sheet, fullness),
      part('Keys', size, keys(sheet)),
      ...(sheet.next.length > 0
        ? [part('Next dates', size, { ul: sheet.next.map(({ due, what }) => `${due}: ${what}`) })]
        : []),
      part('Whom to call', size, call(sheet, size)),
      ...signOff(sheet, size),
    ],
    footer: {
      margin: [40, 4, 40, 0],
      fontSize: SMALLEST_SITE_TYPE,
      color: soft,
      text: 'It starts by itself: keep hands out of it. Covers and terminals are for qualified persons. Whether product that was too warm or too cold may be kept is for its owner and the authority to decide.',
    },
  };
}

function head(sheet: LeaveBehindSheet, size: number): PrintContent {
  return {
    columns: [
      {
        width: '*',
        stack: [
          { text: sheet.unit, font: 'Condensed', bold: true, fontSize: size + 11 },
          { text: sheet.site, fontSize: size + 1 },
          { text: `${sheet.control.replace(/ \(.*/, '')}, set by ${sheet.by}, ${sheet.date}`, color: soft },
        ],
      },
      ...(sheet.logo === null ? [] : [{ width: 150, stack: [...mark(sheet.logo)] } as PrintContent]),
      ...(sheet.link
        ? [{ width: 'auto', stack: [{ qr: sheet.link, fit: 92, foreground: ink }] } as PrintContent]
        : []),
    ],
    columnGap: 14,
    margin: [0, 0, 0, 4],
  };
}

const part = (title: string, size: number, content: PrintContent): PrintContent => ({
  stack: [{ text: title, font: 'Condensed', bold: true, fontSize: size + 3, margin: [0, 0, 0, 1] }, content],
  margin: [0, 7, 0, 0],
});

const listOr = (lines: readonly string[], empty: string): PrintContent =>
  lines.length > 0 ? { ul: [...lines] } : { text: empty };

function setTo(sheet: LeaveBehindSheet): PrintContent {
  const notYet =
    sheet.notYet === 0
      ? []
      : [
          {
            text: `${sheet.notYet} ${sheet.notYet === 1 ? 'value is' : 'values are'} planned and not in the unit yet; the pages for the file name them.`,
            bold: true,
          } as PrintContent,
        ];
  return {
    stack: [
      ...(sheet.setTo.length > 0
        ? [{ ul: [...sheet.setTo] } as PrintContent]
        : [{ text: 'Nothing is known to be set in it yet.' } as PrintContent]),
      ...notYet,
    ],
  };
}

/** Items of a kind that are told by name. */
const namedOf = ({ items }: SheetOpen, { open }: SiteFullness): readonly string[] =>
  open === 'named' && items.length <= 3 ? items : [];

function openLines(sheet: LeaveBehindSheet, fullness: SiteFullness): readonly PrintContent[] {
  if (sheet.open.length === 0) return [];
  const lines = sheet.open.map((one) =>
    [`${one.words}${one.because ? `: ${one.because}` : ''}.`, ...namedOf(one, fullness)].join(' '),
  );
  return [part('Not finished', fullness.size, { ul: lines })];
}

/** What is told as not finished is not told again. */
const watched = (sheet: LeaveBehindSheet, fullness: SiteFullness): readonly string[] => {
  const told = new Set(sheet.open.flatMap((one) => namedOf(one, fullness)));
  return sheet.watch.filter((line) => !told.has(line));
};

function alarms(
  sheet: LeaveBehindSheet,
  { size, checks, otherAlarms }: SiteFullness,
): readonly PrintContent[] {
  const grave = sheet.alarms.filter(({ severity }) => severity === 'shutdown');
  const others = sheet.alarms.filter(({ severity }) => severity !== 'shutdown');
  const shown = [...grave, ...others.slice(0, otherAlarms)];
  if (shown.length === 0) return [];
  const left = others.length - Math.min(others.length, otherAlarms);
  return [
    part('If it shows', size, {
      stack: [
        ...shown.map((alarm): PrintContent => ({
          text: [
            { text: alarm.code, font: 'Mono', bold: true },
            `  ${alarm.means}.`,
            { text: alarm.severity === 'shutdown' ? ' Something has stopped: call. ' : ' ', bold: true },
            checks ? { text: alarm.firstChecks.join('; '), color: soft } : '',
          ],
        })),
        ...(left > 0 ? [{ text: `${left} more codes stand on the pages for the file.`, color: soft }] : []),
      ],
    }),
  ];
}

function keys(sheet: LeaveBehindSheet): PrintContent {
  const locked = sheet.keypadLocked === true ? 'The keys are locked. ' : '';
  return {
    stack: [
      ...(sheet.direct.length > 0 ? [{ ul: sheet.direct.map(inLetters) } as PrintContent] : []),
      {
        text: `${locked}The menu behind the keys is for the technician: a value turned there can spoil what is stored, or the compressor.`,
      },
    ],
  };
}

function call(sheet: LeaveBehindSheet, size: number): PrintContent {
  return {
    text: [
      { text: [sheet.company, sheet.phone].filter(Boolean).join(', '), bold: true, fontSize: size + 2 },
      sheet.link ? '  The code above opens the page of this unit.' : '',
    ],
  };
}
