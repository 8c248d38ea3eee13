import { readdirSync, readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { seeded } from '../../../testing/seeded.ts';
import type { ControllerDefinition } from '../definitions/index.ts';
import { beginEdit, turn, turnTimes } from './editing.ts';
import { panelAtRest } from './interpreter.ts';
import { machineOf } from './machine.ts';

const folder = new URL('../../../../demo/controllers/', import.meta.url);
const definitions = readdirSync(folder).map(
  (file) => JSON.parse(readFileSync(new URL(file, folder), 'utf8')) as ControllerDefinition,
);

test('many turns at once are as many one by one, in every family, at every code, past both ends', () => {
  const random = seeded(231);
  let compared = 0;
  for (const definition of definitions) {
    const machine = machineOf(definition);
    if (!machine) continue;
    const state = panelAtRest(machine);
    for (const parameter of machine.parameters.values()) {
      if (parameter.encoding.type === 'reading') continue;
      for (const ends of ['stop', 'wrap'] as const)
        for (const by of [1, -1] as const) {
          const rules = {
            ends: ends === 'wrap' ? ('wrap' as const) : undefined,
            more: 'a',
            less: 'b',
          } as Parameters<typeof turn>[3];
          const times = 1 + Math.floor(random() * 400);
          const start = beginEdit(machine, state, parameter, rules);
          let one = start;
          for (let i = 0; i < times; i += 1) one = turn(machine, state, parameter, rules, one, by);
          expect([
            parameter.code,
            times,
            turnTimes(machine, state, parameter, rules, start, by, times),
          ]).toEqual([parameter.code, times, one]);
          compared += 1;
        }
    }
  }
  expect(compared).toBeGreaterThan(1000);
});
