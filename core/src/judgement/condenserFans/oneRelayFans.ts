import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { quantity } from '../../foundation/quantities/index.ts';
import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';

/** Rest of a fan motor between a stop and a start, min (common practice). */
const MOTOR_REST = 1;

/** Where a relay's control keeps what a condenser group has under names of its own. */
const relayPlaces = {
  'condenser.setpoint': 'regulation.setpoint',
  'condenser.differential': 'regulation.differential',
  'condenser.highTemperature': 'alarms.highTemperature',
  'condenser.lowTemperature': 'alarms.lowTemperature',
  'condenser.alarmDifferential': 'alarms.differential',
  'condenser.alarmDelay': 'alarms.delay',
} as const satisfies Partial<Record<SettingId, SettingId>>;

/** The setting that holds this of the condenser among these values: a relay's own name where no condenser group is set. */
export const fanSettingOf = (values: SettingValues, id: SettingId): SettingId =>
  values['condenser.setpoint'] === undefined
    ? ((relayPlaces as Partial<Record<SettingId, SettingId>>)[id] ?? id)
    : id;

/**
 * Condenser fans on a control without a condenser group, such as one of a single relay: it cools on liquid temperature. The set point is where the fans stop, the differential above it
 * where they start; no defrost, for none is wanted; no range for a user; the alarms go over as temperatures. What such a relay then does is read back by `fansInForce` (core/control). Other units and controls stay as they are.
 */
export function asOneRelayFans(
  values: SettingValues,
  unit: UnitDescription | null,
  target: ControllerDefinition,
): SettingValues {
  if (!unit || unit.application !== 'condenserFans') return values;
  if (target.parameters.some((p) => p.setting === 'condenser.setpoint')) return values;
  const kept = Object.fromEntries(
    Object.entries(values).filter(([id]) => !id.startsWith('condenser.')),
  ) as SettingValues;
  const moved = Object.fromEntries(
    Object.entries(relayPlaces).flatMap(([from, to]) => {
      const value = values[from as SettingId];
      return value === undefined ? [] : [[to, value]];
    }),
  ) as SettingValues;
  const point = values['condenser.setpoint'];
  return {
    ...kept,
    ...moved,
    // Nobody turns a condenser: the user's range is the set point itself.
    ...(point !== undefined && { 'regulation.setpointMin': point, 'regulation.setpointMax': point }),
    'regulation.action': 'cool',
    'regulation.differentialPlacement': 'setpointIsCutOut',
    'regulation.method': 'onOff',
    'alarms.reference': 'absolute',
    'compressor.minOffTime': quantity(MOTOR_REST, 'min'),
    // A failed probe: fans that run keep the plant alive; fans that stand trip it.
    'compressor.onProbeFault': 'run',
    'defrost.method': 'none',
    'defrost.maxDuration': quantity(0, 'min'),
    // Where that cannot be, the fans stand as seldom as the control allows.
    ...(!endsAtNothing(target) && { 'defrost.interval': quantity(LONGEST_H, 'h') }),
  };
}

/** Longer than any control counts, h. */
const LONGEST_H = 240;

/** Whether a defrost of no length, which is none, can be set; true where nothing is set of its length. */
function endsAtNothing({ parameters }: ControllerDefinition): boolean {
  const length = parameters.find((p) => p.setting === 'defrost.maxDuration')?.encoding;
  return length?.type !== 'number' || length.min <= 0;
}
