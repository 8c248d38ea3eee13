import type { CondenserChoice, OutdoorDay } from '../../machines/condenser/index.ts';
import { usualFacts, type FactId, type FrostNote, type HumidityCourse } from '../../judgement/tools/index.ts';
import { allStanding, type JobState } from '../fold/index.ts';

export type Facts = Readonly<Record<FactId, number>>;

/** The facts of a job: what was typed, else what is usual. */
export function factsOf(state: JobState): Facts {
  const typed = Object.fromEntries(
    allStanding(state, 'fact').flatMap((f) => (f.value === null ? [] : [[f.fact, f.value]])),
  );
  return { ...usualFacts, ...typed };
}

/** Frost as it was noted on the coil's face. */
export const frostOf = (state: JobState): readonly FrostNote[] =>
  allStanding(state, 'frostNote').flatMap(({ row, column, level }) =>
    level === null ? [] : [{ row, column, level }],
  );

/** Humidity readings and steps of the run-on, as they were written down. */
export const humidityOf = (state: JobState): HumidityCourse => ({
  readings: allStanding(state, 'humidity')
    .flatMap((r) => (r.percent === null ? [] : [{ at: r.readAt, percent: r.percent, coil: r.coil }]))
    .toSorted((a, b) => a.at.localeCompare(b.at)),
  steps: allStanding(state, 'runOnStep')
    .flatMap((s) => (s.minutes === null ? [] : [{ at: s.doneAt, minutes: s.minutes }]))
    .toSorted((a, b) => a.at.localeCompare(b.at)),
});

/** The condenser they describe. */
export const condenserChoice = (facts: Facts, refrigerant: string): CondenserChoice => ({
  kilowatts: facts.condenserKilowatts,
  compressors: facts.condenserCompressors,
  fans: facts.condenserFans,
  fanWatts: facts.condenserFanWatts,
  evaporating: facts.condenserEvaporating,
  refrigerant,
  dirty: facts.condenserDirty > 0,
});

export const outdoorDay = (facts: Facts): OutdoorDay => ({
  low: Math.min(facts.outdoorLow, facts.outdoorHigh),
  high: Math.max(facts.outdoorLow, facts.outdoorHigh),
});
