import { describe, expect, test } from '@jest/globals';
import { droppedSheet, LARGEST_SHEET, looksLikeSheet, pastedSheet } from './pasteSheet.ts';

describe('a pasted sheet', () => {
  test('one number is a number, lines with separators are a sheet', () => {
    expect(looksLikeSheet('-3,5')).toBe(false);
    expect(looksLikeSheet('  38\n')).toBe(false);
    expect(looksLikeSheet('code,value\nSn,-3')).toBe(true);
    expect(looksLikeSheet('code\tvalue\r\nSn\t-3')).toBe(true);
  });

  test('its rows, as typed', () => {
    expect(pastedSheet('code;value\nSn;-3,5\n')).toEqual({
      rows: [expect.objectContaining({ code: 'Sn', value: '-3,5' })],
    });
  });

  test.each([
    ['', 'empty'],
    ['code,value\n', 'no rows'],
    ['colour,value\nSn,1\n', 'code'],
    ['{"format":"brine-dial/settings@1"}', 'code'],
  ])('%j is answered with a sentence', (text, words) => {
    const read = pastedSheet(text);
    expect('problem' in read && read.problem).toContain(words);
    expect('problem' in read && read.problem).toMatch(/\.$/);
  });
});

describe('a dropped file', () => {
  const file = (name: string, text: string) => ({ name, size: text.length, text: async () => text }) as File;

  test('its name stands in the sentence', async () => {
    expect(await droppedSheet(file('photo.csv', 'no sheet'))).toEqual({
      problem: expect.stringMatching(/^photo\.csv: /),
    });
  });

  test('a large one is not even read', async () => {
    const huge = { name: 'log.csv', size: LARGEST_SHEET + 1, text: () => Promise.reject(new Error('read')) };
    expect(await droppedSheet(huge as unknown as File)).toEqual({
      problem: expect.stringContaining('log.csv has 977 kB'),
    });
  });
});
