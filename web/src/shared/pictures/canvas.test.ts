import { expect, test } from '@jest/globals';
import { shrunkSize } from './canvas.ts';

test.each([
  [4000, 3000, 1400, 1050],
  [3000, 4000, 1050, 1400],
  [800, 600, 800, 600],
  [10000, 1, 1400, 1],
])('%d × %d becomes %d × %d', (w, h, width, height) => {
  expect(shrunkSize(w, h, 1400)).toEqual({ width, height });
});
