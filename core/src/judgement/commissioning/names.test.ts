import { readdirSync, readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { testName } from './names.ts';

test('every test that a list can hold has a name that is not its id', () => {
  const here = new URL('.', import.meta.url);
  const sources = readdirSync(here).filter((name) => name.endsWith('.ts') && !name.includes('.test.'));
  const ids = sources.flatMap((name) =>
    [...readFileSync(new URL(name, here), 'utf8').matchAll(/\bid: '([a-z]+\.[a-zA-Z]+)',\n\s+group: /g)].map(
      ([, id]) => id!,
    ),
  );
  expect(ids.length).toBeGreaterThan(30);
  expect(ids.filter((id) => testName(id) === id || testName(id).includes(':'))).toEqual([]);
});

test('one made of a part is called after its group and the part; what nobody knows stays as it is', () => {
  expect([testName('outputs.fan2Speed'), testName('alarms.highHigh'), testName('elsewhere')]).toEqual([
    'Outputs, one by one: fan2 speed',
    'Alarms: high high',
    'elsewhere',
  ]);
});
