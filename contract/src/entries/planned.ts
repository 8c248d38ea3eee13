import { mixed } from 'yup';
import {
  isSettingId,
  validateValue,
  type SettingId,
  type SettingValue,
} from '@brine/core/foundation/settings';
import { anyText, judged, LONGEST_TEXT } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** A value planned for a setting instead of the plan’s own, and why; null goes back to that. */
export const planned = entry('planned', {
  setting: judged<SettingId>((value) =>
    typeof value === 'string' && isSettingId(value)
      ? null
      : `${JSON.stringify(value)} is not a known setting`,
  ).required('expected a setting such as regulation.setpoint'),
  value: mixed<Exclude<SettingValue, null>>()
    .nullable()
    .defined('expected a value or null')
    .when('setting', ([setting], field) =>
      field.test('value', (value, context) => {
        const wrong = value === null ? null : validateValue(String(setting), value);
        return wrong === null || context.createError({ message: wrong.message });
      }),
    ),
  why: anyText(LONGEST_TEXT).optional(),
});

export type Planned = BodyOf<typeof planned>;
