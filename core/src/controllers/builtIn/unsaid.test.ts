import { expect, test } from '@jest/globals';
import { family, withoutCodes } from '../../../testing/families.ts';
import { withoutUnsaid } from './unsaid.ts';

const { fixed: _, ...unstated } = family('strath-5');
const onFault = 'compressor.onProbeFault';
const lost = [
  { setting: onFault, reason: 'no code' },
  { setting: 'compressor.faultOnTime', reason: 'no code' },
  { setting: 'regulation.setpointMax', reason: 'no code' },
] as const;
const bare = withoutCodes(unstated, 'compressor');

test('what no code and nobody says is not stated; its times say nothing of their own', () => {
  expect(withoutUnsaid(lost, bare)).toEqual({ lost: [lost[2]], notStated: [onFault] });
});

test('confirmed by somebody it is a loss, and so are its times', () => {
  expect(withoutUnsaid(lost, { ...bare, fixed: { [onFault]: 'stop' } })).toEqual({ lost, notStated: [] });
});
