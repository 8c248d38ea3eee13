import { expect, test } from '@jest/globals';
import { acceptedInOrder } from '../../../testing/entries.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { programOf } from './program.ts';
import { progressOf } from './stations.ts';

const over: EntryBody = { kind: 'handedOver', to: 'Mr Own', watch: '' };
function handover(bodies: readonly EntryBody[], items: number, unanswered = items) {
  const state = fold(acceptedInOrder(bodies));
  const program = programOf({ state, name: 'Own', old: null, replacement: null, companyDefaults: {} });
  const left = { items: Array(items).fill(0), unanswered: Array(unanswered).fill(0) };
  return progressOf(state, program, null, null, left).handover;
}

test('a hand-over is done only where nothing is open, or what is open was answered for', () => {
  expect(handover([], 0)).toEqual({ words: 'ready', done: false });
  expect(handover([], 1)).toEqual({ words: '1 open', done: false });
  expect(handover([over], 0)).toEqual({ words: 'to Mr Own', done: true });
  expect(handover([over], 1)).toEqual({ words: 'to Mr Own, 1 open since', done: false });
  expect(handover([over], 1, 0)).toEqual({ words: 'to Mr Own, 1 left open', done: true });
});
