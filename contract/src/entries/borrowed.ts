import { mixed } from 'yup';
import {
  isSettingId,
  validateValue,
  type SettingId,
  type SettingValue,
} from '@brine/core/foundation/settings';
import { anyText, id, isoTime, judged, listOf, LONGEST_CODE } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

/** Most tests that are proven with one borrowed thing. */
const MOST_TESTS = 20;

/** Something that was borrowed for a proof: a value of the control, or a probe that hangs elsewhere for a while; and what the display showed once it was back. */
export const borrowed = entry('borrowed', {
  /** `value:` with the setting, or `probe:` with the probe. */
  id: id(),
  /** The setting whose value was moved; null for a probe. */
  setting: judged<SettingId>((value) =>
    typeof value === 'string' && isSettingId(value)
      ? null
      : `${JSON.stringify(value)} is not a known setting`,
  )
    .nullable()
    .defined('expected a setting, or null for a probe'),
  /** What it was moved to; null for a probe. */
  to: mixed<Exclude<SettingValue, null>>()
    .nullable()
    .defined('expected a value, or null for a probe')
    .when('setting', ([setting], field) =>
      field.test('value', (value, context) => {
        if (typeof setting !== 'string')
          return value === null || context.createError({ message: 'expected null for a probe' });
        const wrong = validateValue(setting, value);
        return wrong === null || context.createError({ message: wrong.message });
      }),
    ),
  /** Tests that are judged with it; none: nothing is any more. */
  tests: listOf(id(), MOST_TESTS, 'tests'),
  /** Since when it is out; null: it is back. */
  since: isoTime().nullable(),
  /** What the display showed when it was back; empty while it is out. */
  shown: anyText(LONGEST_CODE),
});

export type Borrowed = BodyOf<typeof borrowed>;
