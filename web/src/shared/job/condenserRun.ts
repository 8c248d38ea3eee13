import type { CondenserRun } from '@brine/core/machines/condenser';
import { condenserDay } from '@brine/core/judgement/verdict';
import type { OpenJob } from './useJob.ts';

/** A day of a job's condenser, the same that is judged; null while no control is chosen that runs its fans. */
export function condenserRun(job: OpenJob): CondenserRun | null {
  const { unit, inForce } = job.program.value;
  return unit && condenserDay(unit, inForce);
}
