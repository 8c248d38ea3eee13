import { expect, test } from '@jest/globals';
import { effectScope } from 'vue';
import { findTargets, jumpTargets, useJumpTargets, type JumpTarget } from './jumpTargets.ts';

const target = (title: string, detail = '', words = ''): JumpTarget => ({
  id: title,
  title,
  detail,
  words,
  go: () => undefined,
});
const targets = [
  target('Fish store freezer', 'Quayside Fish Market', 'FM-2'),
  target('melt', 'Termination temperature of the defrost'),
  target('Market office', 'page'),
];

test('every typed word must be there, in title, detail or further words', () => {
  const titles = (text: string) => findTargets(targets, text).map((t) => t.title);
  expect(titles('fish fm')).toEqual(['Fish store freezer']);
  expect(titles('TERMINATION defr')).toEqual(['melt']);
  expect(titles('fish melt')).toEqual([]);
});

test('what begins with the text comes first', () => {
  expect(findTargets(targets, 'market').map((t) => t.title)).toEqual(['Market office', 'Fish store freezer']);
});

test('a page offers its targets for as long as it is open', () => {
  const scope = effectScope();
  scope.run(() => useJumpTargets(() => [target('here')]));
  expect(jumpTargets.value.map((t) => t.id)).toContain('here');
  scope.stop();
  expect(jumpTargets.value.map((t) => t.id)).not.toContain('here');
});
