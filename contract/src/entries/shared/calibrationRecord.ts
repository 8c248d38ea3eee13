import { object, type InferType } from 'yup';
import {
  anyText,
  atLeastZero,
  day,
  dayOrNone,
  finite,
  uuidField,
  listOf,
  LONGEST_CODE,
  LONGEST_ID,
  LONGEST_NAME,
  text,
} from '../../fields/index.ts';
import type { DeepReadonly } from '../../fields/index.ts';

const MAX_POINTS = 40;

/** The instrument a probe was compared with; its own next calibration is empty where nobody knows. Uncertainty: expanded, by its certificate, K. */
const referenceInstrument = object({
  name: text(LONGEST_NAME),
  serial: anyText(LONGEST_NAME),
  due: dayOrNone(),
  uncertainty: atLeastZero().nullable(),
}).typeError('expected the instrument with its name');

/** A probe compared with a reference, and what was typed into the control. Temperatures °C; before and after as the display shows them. */
export const calibrationRecord = object({
  probe: anyText(LONGEST_ID),
  code: anyText(LONGEST_CODE).nullable(),
  points: listOf(
    object({ reading: finite(), reference: finite() }).required('expected reading and reference'),
    MAX_POINTS,
    'points',
  ).min(1, `expected 1 to ${MAX_POINTS} points`),
  before: finite().nullable(),
  after: finite().nullable(),
  unit: anyText(LONGEST_CODE),
  reference: referenceInstrument,
  picture: uuidField().nullable(),
  date: day(),
  nextDue: dayOrNone(),
});

export type CalibrationRecord = DeepReadonly<InferType<typeof calibrationRecord>>;
