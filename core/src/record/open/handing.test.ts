import { expect, test } from '@jest/globals';
import { acceptedInOrder } from '../../../testing/entries.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { handoverProgress } from './handing.ts';
import type { OpenItem, OpenWork } from './openItems.ts';

const item: OpenItem = { kind: 'codes', id: 'hold', words: 'hold: not keyed in.', station: 'program' };
const work = (items: readonly OpenItem[], unanswered = items): OpenWork => ({
  items,
  unanswered,
  answers: [],
  followUps: [],
});
const over: EntryBody = { kind: 'handedOver', to: 'Mr Own', watch: '' };
const words = (bodies: readonly EntryBody[], w: OpenWork) =>
  handoverProgress(fold(acceptedInOrder(bodies)), w);

test('a hand-over is done only where nothing is open, or what is open was said', () => {
  expect(words([], work([item]))).toEqual({ words: '1 open', done: false });
  expect(words([over], work([]))).toEqual({ words: 'to Mr Own', done: true });
  expect(words([over], work([item]))).toEqual({ words: 'to Mr Own, 1 open since', done: false });
  expect(words([over], work([item], []))).toEqual({ words: 'to Mr Own, 1 left open', done: true });
});
