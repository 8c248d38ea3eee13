import type { UnitJudged } from '@brine/contract/routes';
import { remedyWords } from '@brine/core/judgement/checks';
import type { UnitDescription } from '@brine/core/foundation/unit';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import type { SettingValues } from '@brine/core/foundation/settings';
import { judgement } from '@brine/core/judgement/verdict';
import { advise, tryVariant, tuningTask, variantsOf, type GoalId } from '@brine/core/judgement/tuning';
import type { JobMaterial } from '../jobs/jobMaterial.ts';
import { jobProgramOf } from '../jobs/jobProgram.ts';

/** One unit to be judged. */
interface UnitToReview {
  readonly unit: UnitDescription;
  readonly values: SettingValues;
  readonly display: TemperatureUnit;
  /** What it is tuned for besides; null: only judged. */
  readonly goal: GoalId | null;
}

/** Judges the unit of a job by the settings in force; null where the job has no plan yet. */
export function reviewJob({
  material,
  goal,
}: {
  readonly material: JobMaterial;
  readonly goal: GoalId | null;
}): UnitJudged | null {
  const { unit, inForce } = jobProgramOf(material).program;
  if (!unit) return null;
  const display = unit.displayUnit === 'fahrenheit' ? 'degF' : 'degC';
  return reviewUnit({ unit, values: inForce, display, goal });
}

/** Judges one unit on its own box, and tunes it where a goal is given. Pure; seconds of work with a goal, a tenth without. */
export function reviewUnit({ unit, values, display, goal }: UnitToReview): UnitJudged {
  return {
    findings: judgement({ unit, values, display }).findings.map(({ code, severity, message, remedy }) => ({
      code,
      severity,
      message,
      remedy: remedy?.words ?? null,
    })),
    advised: goal === null ? null : tuned(unit, values, display, goal),
  };
}

function tuned(
  unit: UnitDescription,
  values: SettingValues,
  display: TemperatureUnit,
  goal: GoalId,
): UnitJudged['advised'] {
  const task = tuningTask(unit, values, goal, display);
  if (typeof task === 'string') return { sound: false, change: null, reason: task };
  const { sound, advised, reason } = advise(
    task,
    variantsOf(task).map((_, index) => tryVariant(task, index)),
  );
  return { sound, change: advised.present || !sound ? null : remedyWords(advised.change), reason };
}
