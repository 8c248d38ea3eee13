import { id } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { calibrationRecord } from './shared/calibrationRecord.ts';

/** A probe compared with a reference, and what was typed into the control; null takes it away. */
export const calibration = entry('calibration', {
  id: id(),
  record: calibrationRecord.nullable().defined('expected a record or null'),
});

export type Calibration = BodyOf<typeof calibration>;
