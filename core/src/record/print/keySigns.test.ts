import { readFileSync, readdirSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { inLetters } from './fileDocument.ts';

test('keys are told in letters the fonts have: by name where they have none, a minus as it is', () => {
  expect(inLetters('hold ▲ and − for 3 s')).toBe('hold UP and − for 3 s');
  expect(inLetters('press ⚑ once')).toBe('press the key with a sign once');
});

test('every key of the demo’s controllers has a name of its own', () => {
  const folder = new URL('../../../../demo/controllers/', import.meta.url);
  const labels = readdirSync(folder)
    .filter((name) => name.endsWith('.controller.json'))
    .flatMap((name) => {
      const { panel } = JSON.parse(readFileSync(new URL(name, folder), 'utf8')) as {
        panel?: { keys: readonly { label: string }[] };
      };
      return (panel?.keys ?? []).map(({ label }) => label);
    });
  expect(labels.length).toBeGreaterThan(50);
  expect(labels.filter((label) => inLetters(label).includes('a sign'))).toEqual([]);
});
