import { describe, expect, test } from '@jest/globals';
import { guessLayout } from '@brine/core/logs/reading';
import { logCsv, sightId, sightWords } from './watchWords.ts';

describe('what a camera saw, in words', () => {
  const nameOf = () => 'compressor lamp';

  test('a sight is told as a person would, and has an id of its own', () => {
    expect(sightWords({ kind: 'lamp', lamp: 'a', is: 'off' }, nameOf)).toBe('compressor lamp goes out');
    expect(sightWords({ kind: 'text', text: 'DEF' }, nameOf)).toBe('the display shows DEF');
    expect(sightWords({ kind: 'text', text: '' }, nameOf)).toBe('the display goes dark');
    expect(sightId({ kind: 'lamp', lamp: 'a', is: 'on' })).not.toBe(
      sightId({ kind: 'lamp', lamp: 'a', is: 'off' }),
    );
  });

  test('a log of it is read like a logger’s, with its degrees', () => {
    const begin = new Date(2026, 10, 29, 9, 5, 7).getTime();
    const csv = logCsv(
      Array.from({ length: 8 }, (_, i) => ({ at: begin + i * 10_000, value: 24.6 - i / 10 })),
      'F',
    );
    expect(csv.split('\n')[1]).toBe('2026-11-29 09:05:07,24.6');
    const { layout } = guessLayout(csv);
    expect(layout.columns.map(({ role }) => role)).toEqual(['time', 'air']);
    expect(layout.columns[1]).toMatchObject({ fahrenheit: true });
  });
});
