import { goods, type UnitDescription } from '@brine/core/advice';
import { controlConfig } from '@brine/core/control';
import { baseValue, isQuantity } from '@brine/core/quantities';
import type { SettingValues } from '@brine/core/settings';
import type { DoorUse, Scenario } from '@brine/core/simulation';

/** How the survey's words for a door stand in the simulator. */
const doors: Readonly<Record<string, DoorUse>> = { seldom: 'quiet', normal: 'normal', busy: 'busy' };

const HOUR = 3600;

/**
 * The run that shows what settings will do on a unit: a box of its kind, its own ambient and door, a day after a day to settle. A sentence where
 * nothing can be run yet.
 */
export function forecastScenario(
  unit: UnitDescription,
  values: SettingValues,
  hours = 24,
): Scenario | string {
  const config = controlConfig(values);
  if (typeof config === 'string') return config;
  const limits = goods[unit.goods];
  return {
    config,
    template: unit.application,
    choice: isQuantity(unit.ambient) ? { ambient: Math.min(60, Math.max(-40, baseValue(unit.ambient))) } : {},
    doorUse: doors[unit.doorUse ?? 'normal'] ?? 'normal',
    faults: [],
    seconds: hours * HOUR,
    warmUp: 24 * HOUR,
    startOfDay: 0,
    storage: {
      min: limits.min ? baseValue(limits.min.value) : null,
      max: limits.max ? baseValue(limits.max.value) : null,
    },
  };
}
