import type { UnitJudged } from '@brine/contract/routes';
import { remedyWords } from '@brine/core/judgement/checks';
import { judgement, type JudgementInput } from '@brine/core/judgement/verdict';
import { standing } from '@brine/core/record/fold';
import { inUnitOf } from '@brine/core/record/inUnit';
import { judgementInput } from '@brine/core/record/job';
import { advise, tryVariant, tuningTask, variantsOf, type GoalId } from '@brine/core/judgement/tuning';
import type { JobMaterial } from '../jobs/jobMaterial.ts';
import { jobProgramOf } from '../jobs/jobProgram.ts';

/** Judges the unit of a job by the settings in force; null where the job has no plan yet. */
export function reviewJob({
  material,
  goal,
}: {
  readonly material: JobMaterial;
  readonly goal: GoalId | null;
}): UnitJudged | null {
  const { state, program, pin, control } = jobProgramOf(material);
  const display = program.unit?.displayUnit === 'fahrenheit' ? 'degF' : 'degC';
  const asked = judgementInput(program, control, display);
  if (!asked) return null;
  const old = standing(state, 'control:old', 'control')?.definition ?? null;
  const planned = program.rows.filter((row) => row.state !== 'skipped').length;
  const notYet = inUnitOf(state, program, control, { old, replacement: pin }).planned.length;
  return { ...reviewUnit(asked, goal), codes: control ? { planned, notYet } : null };
}

/** Judges one unit on its own box, and tunes it where a goal is given; null: only judged. Pure; seconds of work with a goal, a tenth without. */
export function reviewUnit(asked: JudgementInput, goal: GoalId | null): UnitJudged {
  return {
    codes: null,
    ...(asked.unit.learned && { ownBox: true }),
    findings: judgement(asked).findings.map(({ code, severity, message, remedy }) => ({
      code,
      severity,
      message,
      remedy: remedy?.words ?? null,
    })),
    advised: goal === null ? null : tuned(asked, goal),
  };
}

function tuned({ unit, values, display = 'degC' }: JudgementInput, goal: GoalId): UnitJudged['advised'] {
  const task = tuningTask(unit, values, goal, display);
  if (typeof task === 'string') return { sound: false, change: null, reason: task };
  const { sound, advised, reason } = advise(
    task,
    variantsOf(task).map((_, index) => tryVariant(task, index)),
  );
  return { sound, change: advised.present || !sound ? null : remedyWords(advised.change), reason };
}
