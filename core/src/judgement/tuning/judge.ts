import { bySeverity, check, remedyFor } from '../checks/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { simulatedFindings, type JudgedFinding } from './simulatedFindings.ts';

/**
 * Everything that is said against settings on a unit, gravest first: by the rules of the trade and by a simulated day, each with what mends it. Where nothing can
 * be simulated the rules stand alone.
 */
export function judge(
  unit: UnitDescription,
  values: SettingValues,
  display: TemperatureUnit = 'degC',
  found: SettingValues | null = null,
): readonly JudgedFinding[] {
  const rules = check(values, unit, found).map((finding): JudgedFinding => ({
    ...finding,
    by: 'rule',
    remedy: remedyFor(finding, values, unit),
  }));
  const run = simulatedFindings(unit, values, display);
  return [...rules, ...(typeof run === 'string' ? [] : run)].sort(bySeverity);
}
