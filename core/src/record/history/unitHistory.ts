import { sameCodeValue } from '../../controllers/definitions/index.ts';
import { fold, type JobState } from '../fold/index.ts';
import type { AcceptedEntry, EntryBody, FrozenRow } from '../entries/index.ts';

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
  const sheets = states
    .flatMap(({ job, state }) => keptSheets(job, state))
    .toSorted((a, b) => a.at.localeCompare(b.at));
  const standing = <Kind extends EntryBody['kind']>(kind: Kind) =>
    states.flatMap(({ job, state }) =>
      [...state.registers.values()].flatMap((heads) => {
        const { body, deviceTime } = heads.at(-1)!.entry;
        return body.kind === kind
          ? [{ job, body: body as Extract<EntryBody, { kind: Kind }>, at: deviceTime }]
          : [];
      }),
    );
  return {
    lines: states.flatMap(({ job }) => linesOf(job)).toSorted((a, b) => b.at.localeCompare(a.at)),
    sheets,
    drift: driftOf(
      sheets,
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
    followUps: standing('followUp')
      .flatMap(({ job, body }) => (body.followUp ? [{ job: job.id, ...body.followUp }] : []))
      .toSorted((a, b) => a.due.localeCompare(b.due)),
  };
}

function keptSheets(job: HistoryJob, state: JobState): readonly KeptSheet[] {
  return state.sheets.flatMap(({ entry }) =>
    entry.body.kind === 'sheet'
      ? [
          {
            id: entry.id,
            job: job.id,
            title: job.title,
            kind: entry.body.sheet,
            at: entry.deviceTime,
            family: entry.body.definition?.family ?? '',
            hash: entry.body.definition?.hash ?? null,
            rows: entry.body.rows,
          },
        ]
      : [],
  );
}

/** What a job found in its old control, with when it was typed. */
interface Found {
  readonly hash: string | null;
  readonly at: string;
  readonly rows: readonly FrozenRow[];
}

function foundOf(_job: HistoryJob, state: JobState): Found {
  const pin = state.registers.get('control:old')?.at(-1)?.entry.body;
  const rows: FrozenRow[] = [];
  let at = '';
  for (const heads of state.registers.values()) {
    const { body, deviceTime } = heads.at(-1)!.entry;
    if (body.kind !== 'found' || body.value === null) continue;
    rows.push({ code: body.code, value: body.value });
    if (deviceTime > at) at = deviceTime;
  }
  return { hash: pin?.kind === 'control' ? (pin.definition?.hash ?? null) : null, at, rows };
}

/** Values found otherwise than the sheet left before says, in the same control: somebody turned them, or they were never saved. */
function driftOf(sheets: readonly KeptSheet[], found: readonly Found[]): readonly Drifted[] {
  return found.flatMap((later) => {
    const left = sheets
      .filter((s) => s.kind === 'left' && s.at < later.at && s.hash === later.hash && s.hash !== null)
      .at(-1);
    if (!left) return [];
    return later.rows.flatMap((row): Drifted[] => {
      const before = left.rows.find((r) => r.code === row.code);
      return before && !sameCodeValue(before.value, row.value)
        ? [
            {
              code: row.code,
              setting: before.setting ?? null,
              left: before.value,
              found: row.value,
              leftAt: left.at,
              foundAt: later.at,
            },
          ]
        : [];
    });
  });
}

function linesOf(job: HistoryJob): readonly HistoryLine[] {
  const counts = new Map<string, { n: number; at: string; kind: EntryBody['kind'] }>();
  const lines: HistoryLine[] = [
    { at: job.createdAt, job: job.id, kind: 'job', words: `Job opened: ${job.title}`, foreign: null },
  ];
  for (const { body, deviceTime, foreign: origin } of job.entries) {
    const foreign = origin?.author ?? null;
    const words = wordsOf(body);
    if (words !== null) lines.push({ at: deviceTime, job: job.id, kind: body.kind, words, foreign });
    else {
      // What comes by the dozen is told once a day.
      const key = `${body.kind} ${deviceTime.slice(0, 10)}`;
      const before = counts.get(key);
      counts.set(key, { n: (before?.n ?? 0) + 1, at: deviceTime, kind: body.kind });
    }
  }
  for (const { n, at, kind } of counts.values()) {
    const plural = countWords[kind];
    if (plural)
      lines.push({ at, job: job.id, kind, words: `${n} ${n === 1 ? plural[0] : plural[1]}`, foreign: null });
  }
  return lines;
}

const countWords: Readonly<Partial<Record<EntryBody['kind'], readonly [string, string]>>> = {
  found: ['value read from the old control', 'values read from the old control'],
  keyed: ['code keyed in', 'codes keyed in'],
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
        ? `Calibrated ${body.record.probe}${body.record.code ? `: code ${body.record.code}, ${body.record.before ?? '?'} → ${body.record.after ?? '?'} ${body.record.unit}` : ''}`
        : null;
    case 'test':
      return body.result ? `Test ${body.test}: ${body.result}${body.word ? ` (${body.word})` : ''}` : null;
    case 'verdict':
      return body.decision ? `Complaint: ${body.words || body.decision}` : null;
    case 'log':
      return body.layout ? `Log taken in: ${body.name}, ${body.samples} rows` : null;
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
