import { expect, test } from '@jest/globals';
import { sparesData } from './sparesData.ts';

test('data are spared where the browser says so, and only there', () => {
  expect(sparesData()).toBe(false);
  Object.defineProperty(navigator, 'connection', { value: { saveData: true }, configurable: true });
  expect(sparesData()).toBe(true);
  Reflect.deleteProperty(navigator, 'connection');
});
