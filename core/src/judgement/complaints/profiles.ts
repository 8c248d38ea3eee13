import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { simulate, type Figures } from '../../machines/simulation/index.ts';
import { unitScenario, type RunChoice } from '../tuning/index.ts';
import { causesFor } from './causesFor.ts';
import { signsOfDay } from './signsOfDay.ts';
import type { SignId } from './signs.ts';

/** What a cause shows on this unit, as plain data: `simulated` is null where no day of it can be run. */
export interface CauseDay {
  readonly id: string;
  readonly simulated: readonly SignId[] | null;
}

/** Coarse steps are enough to tell a warm box from a sound one. */
const STRIDE = 5;

/**
 * The day of each cause on this unit beside its sound day: its own box, settings and door, spoilt as the cause does. A sentence where nothing can be
 * run yet. `progress` is told the share done; false ends it.
 */
export function causeDays(
  unit: UnitDescription,
  values: SettingValues,
  progress: (share: number) => boolean = () => true,
): readonly CauseDay[] | string | null {
  if (unit.application === 'heatMeter') return causesFor(unit).map(({ id }) => ({ id, simulated: null }));
  const sound = dayOf(unit, values, {});
  if (typeof sound === 'string') return sound;
  const list = causesFor(unit);
  const days: CauseDay[] = [];
  for (const [i, cause] of list.entries()) {
    const spoiled = cause.spoil?.(values, unit) ?? null;
    const day =
      spoiled && dayOf(unit, spoiled.values ?? values, { ...(spoiled.faults && { faults: spoiled.faults }) });
    days.push({
      id: cause.id,
      simulated: day && typeof day !== 'string' ? [...signsOfDay(day, sound)] : null,
    });
    if (!progress((i + 1) / list.length)) return null;
  }
  return days;
}

function dayOf(unit: UnitDescription, values: SettingValues, choice: RunChoice): Figures | string {
  const scenario = unitScenario(unit, values, choice);
  if (typeof scenario === 'string') return scenario;
  return simulate(scenario, { stride: STRIDE })!.figures;
}
