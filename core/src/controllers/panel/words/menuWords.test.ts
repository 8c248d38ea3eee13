import { expect, test } from '@jest/globals';
import { family } from '../../../../testing/families.ts';
import { panelWords } from './menuWords.ts';

// Oracle: the panel data of the demo families, read by hand.
test.each([
  [
    'marl-4',
    ['Hold ▲ and ▼ for 5 s', 'Count up to 27 with ▲, then SET'],
    'The menu closes 60 s after the last key and keeps what SET took.',
  ],
  ['skerry-dx', ['Hold MENU for 4 s'], 'The menu closes 90 s after the last key and keeps what MENU took.'],
  [
    'gault-p',
    ['Hold HAND and DN for 5 s'],
    'The menu closes 20 s after the last key and keeps what you let go of.',
  ],
  [
    'tarn-1',
    ['Supply off, set the guard switch under the cover to free, supply on', 'Hold S for 3 s'],
    'The menu closes 30 s after the last key and keeps also the value being changed.',
  ],
  // Two menus: the one for the user holds one code, the other all.
  ['brae-c', ['Hold P for 7 s'], 'The menu closes 40 s after the last key and keeps what P took.'],
])('the way into the menu of %s is put in words', (id, enter, timeOut) => {
  expect(panelWords(family(id))).toEqual({ enter, timeOut });
});

test('a family without panel data has no words', () => {
  expect(panelWords({ ...family('tarn-1'), panel: undefined })).toBeNull();
});
