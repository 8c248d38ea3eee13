import type { JobSummary } from '@brine/contract/routes';
import { judgement } from '@brine/core/judgement/verdict';
import { judgementInput, provingOf, wiringOf } from '@brine/core/record/job';
import { summaryOf } from '@brine/core/record/openWork';
import type { JobMaterial } from '../jobs/jobMaterial.ts';
import { jobProgramOf } from '../jobs/jobProgram.ts';

/** How far a job is, computed as its page computes it: judged by the same judgement, so that both count the same. */
export function summariseJob(material: JobMaterial): JobSummary {
  const { state, program, control } = jobProgramOf(material);
  const display = program.unit?.displayUnit === 'fahrenheit' ? 'degF' : 'degC';
  const wiring = wiringOf(state, program.unit, control);
  const proving = provingOf(state, program, wiring, control, null, display);
  const asked = judgementInput(program, control, display);
  // What mends a finding takes most of the time and is not asked here.
  const findings = asked ? judgement({ ...asked, remedies: false }).findings : program.findings;
  return summaryOf({ state, program, wiring, proving, findings });
}
