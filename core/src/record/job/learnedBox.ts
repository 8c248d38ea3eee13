import { markOf } from '../../foundation/files/index.ts';
import { parameterIds, type BoxFile } from '../../machines/identification/index.ts';
import { boxFactIds, type UnitDescription } from '../../foundation/unit/index.ts';
import { added, standing, type JobState } from '../fold/index.ts';

/** A unit's own box as it stands in a job. */
export interface LearnedBox {
  readonly box: BoxFile;
  /** The log it was learned from, and when that was, by the logger's clock. */
  readonly name: string;
  readonly from: string;
  readonly to: string;
  /** What the unit was when it was learned. */
  readonly unit: string;
  /** When it was learned, and by whom. */
  readonly at: string;
  readonly author: string;
  /** It is run in the place of the usual one. */
  readonly used: boolean;
  /** Why it is not, where somebody said so. */
  readonly why: string;
}

/** The unit's own box of a job, used or not; null where nothing was learned. */
export function learnedBoxOf(state: JobState): LearnedBox | null {
  const head = added(state, 'learned').at(-1)?.entry;
  if (head?.body.kind !== 'learned' || head.body.box === null) return null;
  const { box, name, from, to, unit } = head.body;
  const choice = standing(state, 'boxChoice', 'boxChoice');
  return {
    box,
    name,
    from,
    to,
    unit,
    at: head.deviceTime,
    author: head.author,
    used: choice?.use !== 'usual',
    why: choice?.why ?? '',
  };
}

/** What was learned of the unit before, to be compared with; null where it was learned once. A box of another unit mark is another box. */
export function earlierBoxOf(state: JobState): { readonly box: BoxFile; readonly at: string } | null {
  const now = learnedBoxOf(state);
  const before = added(state, 'learned')
    .slice(0, -1)
    .flatMap(({ entry: { body, deviceTime } }) =>
      body.kind === 'learned' && body.box !== null && body.unit === now?.unit
        ? [{ box: body.box, at: deviceTime }]
        : [],
    );
  return now ? (before.at(-1) ?? null) : null;
}

/** The values of the unit's own box that runs are made with; none where the usual box is used, or where it was learned of another kind of unit. */
export function learnedValues(state: JobState, application: unknown): UnitDescription['learned'] {
  const learned = learnedBoxOf(state);
  if (!learned?.used || (learned.box.application ?? application) !== application) return undefined;
  const { parameters } = learned.box;
  return Object.fromEntries(parameterIds.map((id) => [id, parameters[id].value]));
}

/** What a box depends on, in a mark: another kind, another way to clear the coil, another size or place of the probe is another box. */
export function boxMark({
  application,
  defrostMethod,
  compressor,
  probePlace,
  facts,
}: UnitDescription): string {
  const size = boxFactIds.map((id) => facts?.[id]);
  return markOf({ application, defrostMethod, compressor, probePlace, size });
}

/** A season, after which a box is no longer what was learned: weather, use and dirt are others (common practice: a quarter of a year). */
const SEASON_DAYS = 91;

/** Why a learned box should be learned again; null while it holds. */
export function staleWords(learned: LearnedBox, unit: UnitDescription | null, now: Date): string | null {
  if (learned.why !== '') return `Not used since it was said: ${learned.why}.`;
  if (unit && boxMark(unit) !== learned.unit)
    return 'The unit was described otherwise since: its kind, its size, its defrost, its compressor or where its probe hangs. Learn it again.';
  // A logger without a clock of the day says seconds alone.
  const ended = /^\d{4}-/.test(learned.to) ? learned.to : learned.at;
  const days = Math.floor((now.getTime() - Date.parse(ended)) / 86_400_000);
  return days > SEASON_DAYS
    ? `Learned from a log that ended ${days} days ago. Weather, use and dirt are others by now: learn it again.`
    : null;
}
