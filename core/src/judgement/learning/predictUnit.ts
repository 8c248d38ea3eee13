import type { Quantity } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import {
  carriedOver,
  drawnColumns,
  drawnFigures,
  pointOf,
  type BoxFile,
  type LoggedDays,
  type Predicted,
} from '../../machines/identification/index.ts';
import { unitScenario } from '../tuning/index.ts';
import { covarianceOf, naturalPoint } from './boxPoint.ts';
import { usualOf } from './usualOf.ts';

/** What is asked of a learned box. */
export interface Question {
  readonly box: BoxFile;
  readonly unit: UnitDescription;
  readonly values: SettingValues;
  /** The air around it, where that is not the unit's own ambient. */
  readonly ambient?: Quantity;
  readonly days?: number;
  /** Told the share done; false stops it. */
  readonly progress?: (share: number) => boolean;
}

/** What a unit's days under other settings will come to, by its own box: each figure with its 80 % interval. A sentence where it cannot be run; null where it was stopped. */
export function predictUnit({
  box,
  unit,
  values,
  ambient,
  days = 3,
  progress = () => true,
}: Question): Predicted | string | null {
  if (box.application !== undefined && box.application !== unit.application)
    return `The box was learned of a unit of the kind ${box.application}, this one is ${unit.application}.`;
  const scenario = unitScenario(usualOf(ambient ? { ...unit, ambient } : unit), values, {
    hours: 24 * days,
    warmUpHours: 24,
  });
  if (typeof scenario === 'string') return scenario;
  const at = pointOf(scenario, naturalPoint(box));
  const drawn = drawnOf(box);
  const after = drawnFigures(
    scenario,
    { at, covariance: covarianceOf(box) },
    { ...(drawn && { draws: drawn.length }), progress },
  );
  if (!after) return null;
  const { fit } = box;
  return carriedOver(after, drawn ?? after.map(() => modelDays(box)), {
    startsSeen: fit.startsPerHour.measured,
    dutyPercent: fit.dutyPercent.measured,
    defrostMinutes: fit.defrostMinutes?.measured ?? null,
    // Not in the file: nothing to carry over, the model's own air stands.
    airMean: fit.airMean?.measured ?? 0,
    airDayMax: fit.airDayMax?.measured ?? 0,
    outputsLogged: fit.outputsLogged ?? true,
  });
}

/** What each draw said of the logged days. */
function drawnOf({ drawn }: BoxFile): readonly LoggedDays[] | null {
  return drawn
    ? drawn.map(
        (row) => Object.fromEntries(drawnColumns.map((name, i) => [name, row[i]])) as unknown as LoggedDays,
      )
    : null;
}

/** A file without its draws: its model's figures stand for all of them. */
function modelDays({ fit }: BoxFile): LoggedDays {
  return {
    startsSeen: fit.startsPerHour.model,
    dutyPercent: fit.dutyPercent.model,
    defrostMinutes: fit.defrostMinutes?.model ?? null,
    airMean: fit.airMean?.model ?? 0,
    airDayMax: fit.airDayMax?.model ?? 0,
  };
}
