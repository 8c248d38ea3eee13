import { quantity } from '../../../foundation/quantities/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { controlConfig } from '../../box/index.ts';
import { bandOf } from '../../box/index.ts';
import { fansOf, type CondenserConfig } from './condenserConfig.ts';

/**
 * Fans of a condenser as the control in hand runs them: by its condenser group, or by a single relay that cools on the liquid's temperature. Null where it does
 * neither.
 */
export const fansInForce = (values: SettingValues): CondenserConfig | null =>
  fansOf(values) ?? fansByRelay(values);

/** One relay for all fans, in the words of the condenser group: off at cut-out, all on at cut-in. The relay's rest is left out: a band that is wide enough never meets it. */
function fansByRelay(values: SettingValues): CondenserConfig | null {
  const config = controlConfig(values);
  if (typeof config === 'string' || config.stage.heat) return null;
  const { cutOut } = bandOf(config.stage, config.setpoint);
  const { onFault, faultOn, faultOff } = config.compressor;
  const duty = faultOn + faultOff > 0 ? faultOn / (faultOn + faultOff) : 0;
  const { reference, high, low, differential, delay } = config.alarms;
  const limit = (value: number | null, way: 1 | -1) =>
    value === null || reference === 'none'
      ? null
      : reference === 'relative'
        ? config.setpoint + way * value
        : value;
  const [hot, cold] = [limit(high, 1), limit(low, -1)];
  return fansOf({
    'condenser.setpoint': quantity(cutOut, 'degC'),
    'condenser.differential': quantity(config.stage.differential, 'K'),
    'condenser.method': 'onOff',
    'condenser.fanCount': 1,
    'condenser.probeFaultOutput': quantity(
      onFault === 'run' ? 100 : onFault === 'stop' ? 0 : 100 * duty,
      '%',
    ),
    ...(hot === null ? {} : { 'condenser.highTemperature': quantity(hot, 'degC') }),
    ...(cold === null ? {} : { 'condenser.lowTemperature': quantity(cold, 'degC') }),
    'condenser.alarmDifferential': quantity(differential, 'K'),
    'condenser.alarmDelay': quantity(delay, 's'),
  });
}
