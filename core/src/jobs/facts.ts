import type { CondenserChoice, OutdoorDay } from '../condensing/index.ts';
import { allStanding, type JobState } from './fold.ts';
import type { FactId } from './tradeEntry.ts';

/** Where a fact begins until somebody knows better; common practice. */
export const usualFacts: Readonly<Record<FactId, number>> = {
  condenserKilowatts: 8,
  condenserCompressors: 1,
  condenserFans: 2,
  condenserFanWatts: 180,
  condenserEvaporating: -8,
  condenserDirty: 0,
  outdoorLow: 6,
  outdoorHigh: 16,
  bodyLength: 3.2,
  bodyWidth: 1.7,
  bodyHeight: 1.8,
  bodyInsulation: 1,
  outdoorNow: 16,
  bodyStartsAt: 16,
};

export type Facts = Readonly<Record<FactId, number>>;

/** The facts of a job: what was typed, else what is usual. */
export function factsOf(state: JobState): Facts {
  const typed = Object.fromEntries(
    allStanding(state, 'fact').flatMap((f) => (f.value === null ? [] : [[f.fact, f.value]])),
  );
  return { ...usualFacts, ...typed };
}

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
