import {
  code,
  oneOf,
  text,
  anyText,
  yesNo,
  LONGEST_CODE,
  LONGEST_NAME,
  LONGEST_TEXT,
} from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { codeValue } from './shared/codeValue.ts';

/** What became of a code at the cabinet: keyed in, shown otherwise, skipped; null opens it again. */
export const keyed = entry('keyed', {
  code: code(),
  state: oneOf(['keyed', 'showsElse', 'skipped']).nullable(),
  value: codeValue,
  shown: text(LONGEST_CODE)
    .optional()
    .when('state', ([state], field) =>
      state === 'showsElse' ? field.required('expected what it shows') : field,
    ),
  why: anyText(LONGEST_TEXT).optional(),
  /** Written over the control’s bus and read back, not keyed; and who stood at the unit. */
  over: oneOf(['bus']).optional(),
  atUnit: text(LONGEST_NAME).optional(),
  /** Over the bus: it stood there already, so it was read and not written. */
  stood: yesNo().optional(),
});

export type Keyed = BodyOf<typeof keyed>;
