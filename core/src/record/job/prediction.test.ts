import { expect, test } from '@jest/globals';
import { acceptedInOrder } from '../../../testing/entries.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { predictionOf } from './prediction.ts';

const stateOf = (...bodies: readonly EntryBody[]) => fold(acceptedInOrder(bodies));

test('a prediction from the job before speaks of no program of this one', () => {
  const predicted: EntryBody = {
    kind: 'predicted',
    figures: [{ figure: 'dutyPercent', value: 60, low: 55, high: 66 }],
    values: {},
  };
  const handed: EntryBody = { kind: 'handedOver', to: 'Office', watch: '' };
  expect(predictionOf(stateOf())).toBeNull();
  expect(predictionOf(stateOf(predicted))?.fromBefore).toBe(true);
  expect(predictionOf(stateOf(handed, predicted))).toMatchObject({ fromBefore: false, values: {} });
});
