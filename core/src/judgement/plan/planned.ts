import type { Quantity } from '../../foundation/quantities/index.ts';
import type { Sentence } from '../../foundation/sentences/index.ts';
import type { Application, SettingId, SettingValue, SoundRange } from '../../foundation/settings/index.ts';
import type { Goods } from '../../foundation/unit/index.ts';
import type { SchoolId } from '../../foundation/unit/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';

/** One planned value: why it is so, which side of a school it takes, and the range thought sound. */
export interface PlannedValue {
  readonly setting: SettingId;
  readonly value: SettingValue;
  readonly reason: Sentence;
  readonly school: { readonly id: SchoolId; readonly side: string } | null;
  readonly range: SoundRange | null;
}

/** What the rules of the plan work from. */
export interface PlanBasis {
  readonly unit: UnitDescription;
  readonly application: Application;
  readonly goods: Goods;
  readonly freezer: boolean;
  /** Keeps warm: the first stage heats. */
  readonly heated: boolean;
  readonly coilProbe: boolean;
  readonly fahrenheit: boolean;
  readonly side: (id: SchoolId) => string;
}

/** A value before its range is looked up. */
export interface Draft {
  readonly setting: SettingId;
  readonly value: SettingValue;
  readonly reason: Sentence;
  readonly school?: SchoolId;
}

/** A whole number of the unit the technician reads, so that plans show as round values on every display. */
export function temperatureAt(basis: PlanBasis, fahrenheit: number, celsius: number): Quantity {
  return basis.fahrenheit ? { value: fahrenheit, unit: 'degF' } : { value: celsius, unit: 'degC' };
}

/** The same for a difference. */
export function differenceOf(basis: PlanBasis, deltaF: number, kelvins: number): Quantity {
  return basis.fahrenheit ? { value: deltaF, unit: 'deltaF' } : { value: kelvins, unit: 'K' };
}

/** Minutes. */
export function minutes(value: number): Quantity {
  return { value, unit: 'min' };
}
