import { layoutProblem, type LogLayout } from '@brine/core/logs/reading';
import { logFindingCodes } from '@brine/core/logs/against';
import {
  anyText,
  judged,
  listOf,
  oneOf,
  text,
  uuidField,
  whole,
  LONGEST_CODE,
  LONGEST_NAME,
  MAX_INTEGER,
} from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

const MAX_FINDINGS = 50;

/** A logger’s file kept with the job: its layout and what it said against the settings. The readings lie beside the stream. */
export const log = entry('log', {
  id: uuidField(),
  name: text(LONGEST_NAME),
  layout: judged<LogLayout>(layoutProblem).nullable().defined('expected a layout or null'),
  samples: whole(0, MAX_INTEGER),
  from: anyText(LONGEST_CODE),
  to: anyText(LONGEST_CODE),
  findings: listOf(oneOf(logFindingCodes), MAX_FINDINGS, 'codes of log findings'),
});

export type Log = BodyOf<typeof log>;
