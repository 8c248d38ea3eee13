import { sameCodeValue } from '../../controllers/definitions/index.ts';
import { added, fold, type JobState } from '../fold/index.ts';
import type { AcceptedEntry, EntryBody, FrozenRow } from '../entries/index.ts';
import { printNumber } from '../../foundation/quantities/index.ts';
import { testName } from '../../judgement/commissioning/index.ts';
import { standsOf } from '../../judgement/learning/index.ts';
import { aboutEntry, saidByEntry } from '../kinds/index.ts';
import { byReceipt, isAccepted, receiptOf, typedAt } from './receipt.ts';

/** A job of a unit with its stream. */
export interface HistoryJob {
  readonly id: string;
  readonly title: string;
  readonly createdAt: string;
  readonly entries: readonly AcceptedEntry[];
}

/** A settings sheet that was kept: found, planned or left, with its rows. */
export interface KeptSheet {
  readonly id: string;
  readonly job: string;
  readonly title: string;
  readonly kind: 'found' | 'planned' | 'left';
  readonly at: string;
  readonly family: string;
  readonly hash: string | null;
  readonly rows: readonly FrozenRow[];
}

/** A value that stands otherwise than it was left. */
export interface Drifted {
  readonly code: string;
  readonly setting: string | null;
  readonly left: number | string;
  readonly found: number | string;
  readonly leftAt: string;
  readonly foundAt: string;
}

/** Something that was done to a unit. */
export interface HistoryLine {
  readonly at: string;
  readonly job: string;
  readonly words: string;
  readonly kind: EntryBody['kind'] | 'job';
  /** Who wrote it, by id; null for the job itself, and for what was imported. */
  readonly by: string | null;
  /** Who wrote it elsewhere, where it was imported; null for our own. */
  readonly foreign: string | null;
}

export interface UnitHistory {
  readonly lines: readonly HistoryLine[];
  readonly sheets: readonly KeptSheet[];
  readonly drift: readonly Drifted[];
  readonly calibrations: readonly {
    readonly job: string;
    readonly probe: string;
    readonly date: string;
    readonly nextDue: string;
    readonly code: string | null;
    readonly before: number | null;
    readonly after: number | null;
    readonly unit: string;
  }[];
  readonly alarms: readonly {
    readonly job: string;
    readonly at: string;
    readonly code: string;
    readonly words: string;
    readonly cleared: boolean;
  }[];
  /** Jobs that were handed over, newest first: each has its papers. */
  readonly papers: readonly {
    readonly job: string;
    readonly title: string;
    readonly at: string;
    readonly to: string;
  }[];
  /** Logs that were taken in, the latest readings first. */
  readonly logs: readonly {
    readonly job: string;
    readonly name: string;
    readonly from: string;
    readonly to: string;
    readonly samples: number;
  }[];
  /** Photographs, newest first. */
  readonly pictures: readonly {
    readonly job: string;
    readonly id: string;
    readonly caption: string;
    readonly at: string;
  }[];
  readonly followUps: readonly {
    readonly job: string;
    readonly due: string;
    readonly what: string;
    readonly done: boolean;
  }[];
}

/** Everything ever done to a unit, newest first, with what stands otherwise than it was left and what is due. */
export function unitHistory(jobs: readonly HistoryJob[]): UnitHistory {
  const states = jobs.map((job) => ({ job, state: fold(job.entries) }));
  const kept = states
    .flatMap(({ job, state }) => keptSheets(job, state))
    .toSorted((a, b) => byReceipt(a.entry, b.entry));
  const sheets = kept.map(({ sheet }) => sheet);
  const standing = <Kind extends EntryBody['kind']>(kind: Kind) =>
    states.flatMap(({ job, state }) =>
      [...state.registers.values()].flatMap((heads) => {
        const { entry } = heads.at(-1)!;
        return entry.body.kind === kind && isAccepted(entry)
          ? [{ job, body: entry.body as Extract<EntryBody, { kind: Kind }>, at: typedAt(entry) }]
          : [];
      }),
    );
  return {
    lines: states
      .flatMap(({ job }) => linesOf(job))
      .toSorted((a, b) => Date.parse(b.received) - Date.parse(a.received))
      .map(({ line }) => line)
      .filter(isNoCopy),
    sheets,
    drift: driftOf(
      kept,
      states.map(({ job, state }) => foundOf(job, state)),
    ),
    calibrations: standing('calibration')
      .flatMap(({ job, body }) =>
        body.record
          ? [
              {
                job: job.id,
                probe: body.record.probe,
                date: body.record.date,
                nextDue: body.record.nextDue,
                code: body.record.code,
                before: body.record.before,
                after: body.record.after,
                unit: body.record.unit,
              },
            ]
          : [],
      )
      .toSorted((a, b) => b.date.localeCompare(a.date)),
    alarms: standing('alarmSeen').map(({ job, body, at }) => ({
      job: job.id,
      at,
      code: body.code,
      words: body.words,
      cleared: body.cleared,
    })),
    papers: standing('handedOver')
      .map(({ job, body, at }) => ({ job: job.id, title: job.title, at, to: body.to }))
      .toSorted((a, b) => b.at.localeCompare(a.at)),
    logs: standing('log')
      .flatMap(({ job, body: { layout, name, from, to, samples } }) =>
        layout === null ? [] : [{ job: job.id, name, from, to, samples }],
      )
      .toSorted((a, b) => b.to.localeCompare(a.to)),
    pictures: standing('picture')
      .flatMap(({ job, body: { id, caption, gone }, at }) => (gone ? [] : [{ job: job.id, id, caption, at }]))
      .toSorted((a, b) => b.at.localeCompare(a.at)),
    followUps: standing('followUp')
      .flatMap(({ job, body }) => (body.followUp ? [{ job: job.id, ...body.followUp }] : []))
      .toSorted((a, b) => a.due.localeCompare(b.due)),
  };
}

/** A sheet with the entry that kept it. */
interface KeptEntry {
  readonly entry: AcceptedEntry;
  readonly sheet: KeptSheet;
}

function keptSheets(job: HistoryJob, state: JobState): readonly KeptEntry[] {
  return added(state, 'sheet').flatMap(({ entry }) =>
    entry.body.kind === 'sheet' && isAccepted(entry)
      ? [
          {
            entry,
            sheet: {
              id: entry.id,
              job: job.id,
              title: job.title,
              kind: entry.body.sheet,
              at: typedAt(entry),
              family: entry.body.definition?.family ?? '',
              hash: entry.body.definition?.hash ?? null,
              rows: entry.body.rows,
            },
          },
        ]
      : [],
  );
}

/** What a job found in its old control, with the last entry that says so; null where nothing was read. */
interface Found {
  readonly hash: string | null;
  readonly last: AcceptedEntry | null;
  readonly rows: readonly FrozenRow[];
}

function foundOf(_job: HistoryJob, state: JobState): Found {
  const pin = state.registers.get('control:old')?.at(-1)?.entry.body;
  const rows: FrozenRow[] = [];
  let last: AcceptedEntry | null = null;
  for (const heads of state.registers.values()) {
    const { entry } = heads.at(-1)!;
    const { body } = entry;
    if (body.kind !== 'found' || body.value === null || !isAccepted(entry)) continue;
    rows.push({ code: body.code, value: body.value });
    if (last === null || byReceipt(entry, last) > 0) last = entry;
  }
  return { hash: pin?.kind === 'control' ? (pin.definition?.hash ?? null) : null, last, rows };
}

/** Values found otherwise than the sheet left before says, in the same control: somebody turned them, or they were never saved. */
function driftOf(kept: readonly KeptEntry[], found: readonly Found[]): readonly Drifted[] {
  return found.flatMap(({ last, hash, rows }) => {
    if (last === null || hash === null) return [];
    const left = kept
      .filter(
        ({ entry, sheet }) => sheet.kind === 'left' && sheet.hash === hash && byReceipt(entry, last) < 0,
      )
      .at(-1)?.sheet;
    if (!left) return [];
    return rows.flatMap((row): Drifted[] => {
      const before = left.rows.find((r) => r.code === row.code);
      return before && !sameCodeValue(before.value, row.value)
        ? [
            {
              code: row.code,
              setting: before.setting ?? null,
              left: before.value,
              found: row.value,
              leftAt: left.at,
              foundAt: typedAt(last),
            },
          ]
        : [];
    });
  });
}

/** Whether a line is the first that was written of its kind: what belongs to the unit is copied into its other jobs. */
const isNoCopy = (line: HistoryLine, i: number, all: readonly HistoryLine[]): boolean =>
  (line.kind !== 'learned' && line.kind !== 'boxChoice') ||
  !all.some(
    (other, k) =>
      k > i &&
      other.kind === line.kind &&
      other.at === line.at &&
      other.by === line.by &&
      other.words === line.words,
  );

/** A line with when the server received it, which gives its place. */
interface PlacedLine {
  readonly received: string;
  readonly line: HistoryLine;
}

function linesOf(job: HistoryJob): readonly PlacedLine[] {
  const counts = new Map<string, { n: number; entry: AcceptedEntry; as: CountedAs }>();
  const lines: PlacedLine[] = [
    {
      received: job.createdAt,
      line: {
        at: job.createdAt,
        job: job.id,
        kind: 'job',
        words: `Job opened: ${job.title}`,
        by: null,
        foreign: null,
      },
    },
  ];
  for (const entry of job.entries) {
    const { body } = entry;
    const at = typedAt(entry);
    const words = wordsOf(body);
    if (words !== null)
      lines.push({
        received: receiptOf(entry),
        line: { at, job: job.id, kind: body.kind, words, ...whoWrote(entry) },
      });
    else {
      // What comes by the dozen is told once a day for each who did it.
      const as = countedAs(body);
      const key = `${as} ${at.slice(0, 10)} ${entry.author}`;
      counts.set(key, { n: (counts.get(key)?.n ?? 0) + 1, entry, as });
    }
  }
  for (const { n, entry, as } of counts.values()) {
    const plural = countWords[as];
    if (plural)
      lines.push({
        received: receiptOf(entry),
        line: {
          at: typedAt(entry),
          job: job.id,
          kind: entry.body.kind,
          words: `${n} ${n === 1 ? plural[0] : plural[1]}`,
          ...whoWrote(entry),
        },
      });
  }
  return lines;
}

/** An offset as the display has it. */
const offset = (value: number | null) => (value === null ? '?' : printNumber(value, 2));

const whoWrote = ({ foreign, author }: AcceptedEntry) =>
  foreign ? { by: null, foreign: foreign.author } : { by: author, foreign: null };

/** What is counted together: a kind of entry; what went over a bus apart from what somebody keyed. */
type CountedAs = EntryBody['kind'] | 'written' | 'stood' | 'notTaken';
function countedAs(body: EntryBody): CountedAs {
  if (body.kind !== 'keyed' || body.over !== 'bus') return body.kind;
  return body.state !== 'keyed' ? 'notTaken' : body.stood ? 'stood' : 'written';
}

const countWords: Readonly<Partial<Record<CountedAs, readonly [string, string]>>> = {
  found: ['value read from the old control', 'values read from the old control'],
  keyed: ['code keyed in', 'codes keyed in'],
  written: ['code written over the bus', 'codes written over the bus'],
  stood: ['code read over the bus, as planned', 'codes read over the bus, as planned'],
  notTaken: ['code not taken over the bus', 'codes not taken over the bus'],
  reading: ['meter reading', 'meter readings'],
  wired: ['wire done', 'wires done'],
  foundWire: ['wire traced', 'wires traced'],
  planned: ['planned value changed', 'planned values changed'],
};

function wordsOf(body: EntryBody): string | null {
  switch (body.kind) {
    case 'control':
      return body.definition
        ? `${body.role === 'old' ? 'Found' : 'Chosen'}: ${body.definition.family}`
        : null;
    case 'sheet':
      return `${{ found: 'As found', planned: 'Planned', left: 'As left' }[body.sheet]}, ${body.rows.length} values kept`;
    case 'handedOver':
      return `Handed over${body.to ? ` to ${body.to}` : ''}`;
    case 'calibration':
      return body.record
        ? `Calibrated ${body.record.probe}${body.record.code ? `: code ${body.record.code}, ${offset(body.record.before)} → ${offset(body.record.after)} ${body.record.unit}` : ''}`
        : null;
    case 'test':
      return body.result
        ? `Test “${testName(body.test)}”: ${body.result === 'skipped' ? 'left out' : body.result}${body.word ? ` (${body.word})` : ''}`
        : null;
    case 'verdict':
      return body.decision ? `Complaint: ${body.words || body.decision}` : null;
    case 'log':
      return body.layout ? `Log taken in: ${body.name}, ${body.samples} rows` : null;
    case 'learned':
      return body.box ? `Own box learned from ${body.name}` : 'Own box forgotten';
    case 'boxChoice':
      return body.use === 'own' ? null : `Back to the usual box${body.why ? `: ${body.why}` : ''}`;
    case 'copiedFrom':
      return `Program copied from ${body.unit}`;
    case 'readBack':
      return `Work at the panel broken off and taken up again: ${body.lost.length === 0 ? 'all that was keyed is there' : `${body.lost.join(', ')} to be keyed anew`}`;
    case 'borrowed':
      return body.tests.length === 0 ? null : `${aboutEntry(body)}: ${saidByEntry(body)}`;
    case 'siteQuestion':
      return body.answer === null
        ? null
        : `The people on site read ${printNumber(body.answer.celsius, 1)} °C`;
    case 'heldAgainst': {
      const off = body.figures.filter((figure) => standsOf(figure) === 'off').length;
      return `${body.name} held against the prediction: ${off === 0 ? 'as predicted' : `${off} of ${body.figures.length} figures otherwise`}`;
    }
    case 'alarmSeen':
      return `Alarm ${body.code}${body.words ? `: ${body.words}` : ''}${body.cleared ? ', cleared' : ''}`;
    case 'power':
      return body.state === 'lockedOut' ? 'Locked out' : 'Energised again';
    case 'note':
      return body.text;
    case 'signOff':
      return body.name ? 'Signed off' : null;
    default:
      return null;
  }
}
