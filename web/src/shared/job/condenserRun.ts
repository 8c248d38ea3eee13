import { condenserPlant, type CondenserRun } from '@brine/core/machines/condenser';
import { fansInForce } from '@brine/core/machines/condenser';
import { condenserChoice, factsOf, outdoorDay } from '@brine/core/record/job';
import type { OpenJob } from './useJob.ts';

/** A day of a job's condenser as its facts and its control say it; null while no control is chosen that runs its fans. */
export function condenserRun(job: OpenJob): CondenserRun | null {
  const { unit, inForce } = job.program.value;
  const config = fansInForce(inForce);
  const facts = factsOf(job.state.value);
  return (
    config && {
      config,
      plant: condenserPlant(condenserChoice(facts, unit?.refrigerant ?? '')),
      outdoor: outdoorDay(facts),
      hours: 24,
      warmUpHours: 2,
    }
  );
}
