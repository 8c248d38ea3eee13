import type { FrostNote } from '../report.ts';

/** What the last look at a coil says against the one before it. */
export interface FrostChange {
  /** Places noted at both looks. */
  readonly places: number;
  readonly less: number;
  readonly more: number;
  /** Sum of the levels over those places, before and now. */
  readonly before: number;
  readonly now: number;
  /** Places that are thick now though a defrost lay between the looks. */
  readonly thick: readonly FrostNote[];
}

const THICK = 3;

/** The places noted at both looks laid over each other; null where no place was noted twice. */
export function frostChange(before: readonly FrostNote[], now: readonly FrostNote[]): FrostChange | null {
  const pairs = now.flatMap((note) => {
    const old = before.find((n) => n.row === note.row && n.column === note.column);
    return old ? [{ old: old.level, note }] : [];
  });
  if (pairs.length === 0) return null;
  return {
    places: pairs.length,
    less: pairs.filter(({ old, note }) => note.level < old).length,
    more: pairs.filter(({ old, note }) => note.level > old).length,
    before: pairs.reduce((sum, { old }) => sum + old, 0),
    now: pairs.reduce((sum, { note }) => sum + note.level, 0),
    thick: pairs.filter(({ note }) => note.level === THICK).map(({ note }) => note),
  };
}

/** The comparison in words: the count first, then what it means for the place and the difference. Common practice. */
export function frostChangeWords(change: FrostChange | null): string {
  if (change === null) return 'No place was noted at both looks: note the same places again to compare them.';
  const { places, less, more, before, now, thick } = change;
  const count = `Of ${places} places noted at both looks ${less} have less frost, ${more} more, ${places - less - more} the same.`;
  if (more > less && now > before)
    return `${count} The coil is fuller than before: defrost begins too late or leaves ice; lower the difference or look at the heaters${
      thick.length > 0 ? `, first at ${placesOf(thick)}` : ''
    }.`;
  if (thick.length > 0)
    return `${count} Still thick at ${placesOf(thick)}: the sensor belongs there, or the heater there does not heat.`;
  return less > more
    ? `${count} The place and the difference do what they should; look again in a month.`
    : `${count} Nothing is thick: leave it so.`;
}

const SHOWN_PLACES = 3;
const placesOf = (notes: readonly FrostNote[]): string => {
  const named = notes.slice(0, SHOWN_PLACES).map(({ row, column }) => `row ${row}, column ${column}`);
  const rest = notes.length - named.length;
  return rest > 0 ? `${named.join('; ')} and ${rest} more` : named.join('; ');
};
