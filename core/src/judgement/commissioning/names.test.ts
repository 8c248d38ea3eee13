import { readdirSync, readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { testName } from './names.ts';

const here = new URL('.', import.meta.url);
const sources = readdirSync(here)
  .filter((name) => name.endsWith('.ts') && !name.includes('.test.'))
  .map((name) => readFileSync(new URL(name, here), 'utf8'));

test('every test that a list can hold has a name that is not its id', () => {
  const ids = sources.flatMap((text) =>
    [...text.matchAll(/\bid: '([a-z]+\.[a-zA-Z]+)',\n\s+group: /g)].map(([, id]) => id!),
  );
  expect(ids.length).toBeGreaterThan(30);
  // One without a name of its own is called after its group and its part, as its id has it.
  const part = (id: string) => id.split('.')[1]!.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
  expect(ids.filter((id) => testName(id) === id || testName(id).endsWith(`: ${part(id)}`))).toEqual([]);
});

test('a name holds the title that stands on the list, where that is the same for every unit', () => {
  const titled = sources.flatMap((text) =>
    [...text.matchAll(/\bid: '([a-z]+\.[a-zA-Z]+)',\n\s+group: '\w+',\n\s+title: '([^']+)'/g)].map(
      ([, id, title]) => [id!, title!] as const,
    ),
  );
  expect(titled.length).toBeGreaterThan(20);
  expect(titled.filter(([id, title]) => !testName(id).includes(title))).toEqual([]);
});

test('one made of a part is called after its group and the part; what nobody knows stays as it is', () => {
  expect([testName('outputs.fan2Speed'), testName('alarms.highHigh'), testName('elsewhere')]).toEqual([
    'Outputs, one by one: fan2 speed',
    'Alarms: high high',
    'elsewhere',
  ]);
});
