import { provingOf, wiringOf } from '@brine/core/record/job';
import { openWork } from '@brine/core/record/openWork';
import { materialOf } from '../src/jobs/jobMaterial.ts';
import { jobProgramOf } from '../src/jobs/jobProgram.ts';
import type { Harness } from './harness.ts';

/** Ids of the codes and tests that are open on a job, from its stream, as its page computes them. */
export async function openOf(
  harness: Harness,
  jobId: string,
): Promise<{ readonly codes: string[]; readonly tests: string[] }> {
  const material = await harness.database.transaction((repositories) =>
    materialOf(repositories, jobId, 'unit'),
  );
  const { state, program, control } = jobProgramOf(material);
  const wiring = wiringOf(state, program.unit, control);
  const proving = provingOf(state, program, wiring, control, null, 'degC');
  const { items } = openWork({ state, program, wiring, proving, findings: [] });
  const of = (kind: string) => items.filter((item) => item.kind === kind).map(({ id }) => id);
  return { codes: of('codes'), tests: of('tests') };
}
