import type { UnitDescription } from '../../foundation/unit/index.ts';
import { boxCauses } from './boxCauses.ts';
import type { Cause } from './cause.ts';
import { fanCauses } from './fanCauses.ts';
import { meterCauses } from './meterCauses.ts';

/** Every cause of every kind of unit. */
export const allCauses: readonly Cause[] = [...boxCauses, ...fanCauses, ...meterCauses];

/** Causes that can be behind a complaint on this unit. */
export function causesFor(unit: UnitDescription): readonly Cause[] {
  if (unit.application === 'condenserFans') return fanCauses;
  if (unit.application === 'heatMeter') return meterCauses;
  return boxCauses.filter((cause) => cause.fits?.(unit) ?? true);
}
