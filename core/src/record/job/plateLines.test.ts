import { expect, test } from '@jest/globals';
import type { EntryBody } from '@brine/contract/entries';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { fold } from '../fold/index.ts';
import { plateLines } from './survey.ts';

const lines = (plate: string, supply: string) =>
  plateLines(
    plate,
    fold(acceptedInOrder([{ kind: 'answer', question: 'supply', value: supply } as EntryBody]), []),
  );

test.each([
  ['R-404A, 208 V three-phase', '208 V, 3 phases', ['R-404A, 208 V three-phase']],
  ['R-404A, 208 V', '208 V, 3 phases', ['R-404A, 208 V', '208 V, 3 phases']],
  ['R-290, 120 V', '120 V', ['R-290, 120 V']],
  // 1120 V is not 120 V, and another voltage is worth saying.
  ['Serial 1120 V2', '120 V', ['Serial 1120 V2', '120 V']],
  ['R-290, 120 V', '230 V', ['R-290, 120 V', '230 V']],
  ['', '120 V', ['120 V']],
])('plate “%s” and the answer “%s” on the sheet', (plate, supply, expected) =>
  expect(lines(plate, supply)).toEqual(expected),
);
