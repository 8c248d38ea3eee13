import { expect, test } from '@jest/globals';
import { circleIn } from '../../../noCircles.ts';

test('files that import one another in a circle are found, and those that only share something are not', () => {
  expect(circleIn({ a: ['b', 'c'], b: ['d'], c: ['d'], d: [] })).toBeNull();
  expect(circleIn({ a: ['b'], b: ['c', 'elsewhere'], c: ['b'] })).toEqual(['b', 'c', 'b']);
});
