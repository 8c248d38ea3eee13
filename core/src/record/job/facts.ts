import type { Application } from '../../foundation/settings/index.ts';
import { hasOwnBox, usualBox } from '../../judgement/tuning/index.ts';
import {
  boxFactIds,
  factsOfUnit,
  usualFacts,
  type BoxFactId,
  type Facts,
  type UnitDescription,
} from '../../foundation/unit/index.ts';
import type { FrostLook, FrostNote, HumidityCourse } from '../../judgement/tools/index.ts';
import { allStanding, type JobState } from '../fold/index.ts';

/** Facts as they were typed. */
export const typedFacts = (state: JobState): NonNullable<UnitDescription['facts']> =>
  Object.fromEntries(
    allStanding(state, 'fact').flatMap((f) => (f.value === null ? [] : [[f.fact, f.value]])),
  );

/** The facts of a job: what was typed, else what its unit says, else what is usual. */
export const factsOf = (state: JobState, unit: UnitDescription | null): Facts =>
  unit ? factsOfUnit({ ...unit, facts: typedFacts(state) }) : { ...usualFacts, ...typedFacts(state) };

/** The box of a kind as it was measured, the rest of it as usual; null for what has no box to be measured. */
export function boxFactsOf(state: JobState, application: Application): Record<BoxFactId, number> | null {
  if (!hasOwnBox(application)) return null;
  const typed = typedFacts(state);
  const usual = usualBox(application, typed.boxVolume);
  return Object.fromEntries(boxFactIds.map((id) => [id, typed[id] ?? usual[id]])) as Record<
    BoxFactId,
    number
  >;
}

/** Frost as it was noted on the coil's face at each look, the first look first; each with the time at which it was begun. */
export function frostLooksOf(state: JobState): readonly FrostLook[] {
  const looks = new Map<number, { notes: FrostNote[]; at: string }>();
  for (const heads of state.registers.values()) {
    const { body, deviceTime } = heads.at(-1)!.entry;
    if (body.kind !== 'frostNote' || body.level === null) continue;
    const { row, column, level, look = 1 } = body;
    const found = looks.get(look) ?? { notes: [], at: deviceTime };
    found.notes.push({ row, column, level });
    looks.set(look, { notes: found.notes, at: deviceTime < found.at ? deviceTime : found.at });
  }
  return [...looks.entries()].toSorted(([a], [b]) => a - b).map(([look, said]) => ({ look, ...said }));
}

/** Humidity readings and steps of the run-on, as they were written down. */
export const humidityOf = (state: JobState): HumidityCourse => ({
  readings: allStanding(state, 'humidity')
    .flatMap((r) => (r.percent === null ? [] : [{ at: r.readAt, percent: r.percent, coil: r.coil }]))
    .toSorted((a, b) => a.at.localeCompare(b.at)),
  steps: allStanding(state, 'runOnStep')
    .flatMap((s) => (s.minutes === null ? [] : [{ at: s.doneAt, minutes: s.minutes }]))
    .toSorted((a, b) => a.at.localeCompare(b.at)),
});
