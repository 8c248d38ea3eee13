import {
  decodeNumber,
  displayOf,
  encodeNumber,
  type ControllerDefinition,
} from '../../controllers/definitions/index.ts';
import {
  baseValue,
  isQuantity,
  printQuantity,
  quantity,
  valueIn,
} from '../../foundation/quantities/index.ts';
import type { SettingId } from '../../foundation/settings/index.ts';
import { plan } from '../plan/index.ts';
import type { Gap } from './gap.ts';
import type { UnitNeeds } from './needs.ts';

/** A set point beyond what the control can be set to: no part bridges that. */
export function rangeGaps(needs: UnitNeeds, definition: ControllerDefinition): readonly Gap[] {
  const planned = new Map(plan(needs.unit).settings.map((s) => [s.setting, s.value]));
  const wished = planned.get('condenser.setpoint') ?? planned.get('regulation.setpoint');
  // A plain thermostat that switches a condenser's fans goes by its own set point.
  const holder =
    (planned.has('condenser.setpoint') ? holderOf(definition, 'condenser.setpoint') : undefined) ??
    holderOf(definition, 'regulation.setpoint');
  if (!isQuantity(wished) || holder?.encoding.type !== 'number') return [];
  const display = displayOf(definition, new Map());
  const code = encodeNumber(wished, holder.encoding, display);
  if (!code?.clamped) return [];
  const end = decodeNumber(code.value, holder.encoding, display);
  return isQuantity(end) && Math.abs(baseValue(end) - baseValue(wished)) > BEYOND_K
    ? [
        {
          need: 'set point',
          lacks: `its set point ends at ${printQuantity(quantity(Math.round(valueIn(end, wished.unit) * 10) / 10, wished.unit))}; the plan needs ${printQuantity(wished)}`,
          bridge: null,
        },
      ]
    : [];
}

/** Rounding to whole degrees is no lack. */
const BEYOND_K = 0.6;
const holderOf = (definition: ControllerDefinition, id: SettingId) =>
  definition.parameters.find((parameter) => parameter.setting === id);
