import type { JobSummary } from '@brine/contract/routes';
import type { AcceptedEntry } from '@brine/core/record/entries';
import { unitHistory, type HistoryJob } from '@brine/core/record/history';
import { judgement } from '@brine/core/judgement/verdict';
import { judgementInput, provingOf, wiringOf } from '@brine/core/record/job';
import { summaryOf } from '@brine/core/record/openWork';
import type { JobMaterial } from '../jobs/jobMaterial.ts';
import { jobProgramOf } from '../jobs/jobProgram.ts';

/** How far a job is, computed as its page computes it: judged by the same judgement, so that both count the same. */
export function summariseJob({
  material,
  jobId,
  leftBefore,
}: {
  readonly material: JobMaterial;
  readonly jobId: string;
  /** JSON of the sheets that other jobs left in the unit. */
  readonly leftBefore: string;
}): JobSummary {
  const { entries, state, program, control } = jobProgramOf(material);
  const display = program.unit?.displayUnit === 'fahrenheit' ? 'degF' : 'degC';
  const wiring = wiringOf(state, program.unit, control);
  const proving = provingOf(state, program, wiring, control, null, display);
  const asked = judgementInput(program, control, display);
  // What mends a finding takes most of the time and is not asked here.
  const findings = asked ? judgement({ ...asked, remedies: false }).findings : program.findings;
  return summaryOf(
    { state, program, wiring, proving, findings },
    driftIn({ id: jobId, entries }, JSON.parse(leftBefore) as readonly AcceptedEntry[]),
  );
}

/** Most values that a list tells; the page of the unit tells all. */
const MOST_DRIFTED = 20;

function driftIn(
  job: Pick<HistoryJob, 'id' | 'entries'>,
  left: readonly AcceptedEntry[],
): JobSummary['drift'] {
  if (left.length === 0) return [];
  const named = { title: '', createdAt: '' };
  return unitHistory([
    { ...named, ...job },
    { ...named, id: 'before', entries: left },
  ])
    .drift.slice(0, MOST_DRIFTED)
    .map(({ code, left: before, found }) => ({ code, left: String(before), found: String(found) }));
}
