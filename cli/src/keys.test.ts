import { afterAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { act, machineOf, panelAtRest, type PlanStep } from '@brine/core/controllers/panel';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { run } from './run.ts';
import { family, root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
const example = join(root, 'docs/formats/examples/keys/01.controller.json');
const definitionAt = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as ControllerDefinition;

function keys(...argv: string[]): { steps: PlanStep[]; proven: boolean } {
  const outcome = run(['keys', '--controller', ...argv]);
  expect(outcome).toMatchObject({ stderr: '', exitCode: 0 });
  return JSON.parse(outcome.stdout);
}

test('the example of the format: after the strokes memory is what it states', () => {
  const expected = JSON.parse(readFileSync(join(root, 'docs/formats/examples/keys/expected.json'), 'utf8'));
  const { steps, proven } = keys(example, '--set', ...expected.set);
  expect(proven).toBe(true);
  const machine = machineOf(definitionAt(example))!;
  let state = panelAtRest(machine);
  for (const step of steps) {
    const result = act(machine, state, step);
    expect(result.shows).toBe(step.shows);
    state = result.state;
  }
  expect(Object.fromEntries(state.memory)).toEqual(expected['stored afterwards']);
});

test('--set once with many or many times, and from the values of a sheet', () => {
  const sheet = scratch.sheet('hold=-10 gap=6');
  const once = keys(family('marl-4'), '--set', 'hold=-8', 'gap=6', '--sheet', sheet);
  expect(keys(family('marl-4'), '--set', 'hold=-8', '--set', 'gap=6', '--sheet', sheet)).toEqual(once);
  const turning = once.steps.find((s) => s.for === 'hold' && s.shows === '-8');
  expect(turning).toMatchObject({ action: 'press', times: 2 });
  // The differential already stands at 6: no stroke touches it.
  expect(once.steps.some((s) => s.for === 'gap')).toBe(false);
});

test('nothing to change needs no strokes', () => {
  expect(keys(family('marl-4'), '--set', 'gap=5').steps).toEqual([]);
});

test.each([
  [['--set', 'hold=99'], 'hold: 99 cannot be shown; expected −35 to 60 °F'],
  [['--set', 'kind=7'], 'kind: 7 is no option of it; expected 0, 1, 2'],
  [['--set', 'zz=1'], 'zz: no code of this controller'],
  [['--set', 'hold'], '--set: hold: expected CODE=VALUE'],
  [[], 'expected --set CODE=VALUE or --do DEED'],
  [['--do', 'sing'], 'sing: this panel has no such direct action'],
  [['--set', 'gap=4', '--fitted', 'P9'], '--fitted:'],
])('%j is refused on one line', (argv, sentence) => {
  const outcome = run(['keys', '--controller', family('marl-4'), ...argv]);
  expect(outcome).toMatchObject({ stdout: '', exitCode: 2 });
  expect(outcome.stderr).toContain(sentence);
  expect(outcome.stderr.trimEnd().split('\n')).toHaveLength(1);
});

test('a sheet that this family cannot have shown is refused with its line', () => {
  const sheet = scratch.sheet('hold=-9 kind=8');
  const outcome = run(['keys', '--controller', family('marl-4'), '--set', 'gap=4', '--sheet', sheet]);
  expect(outcome.exitCode).toBe(2);
  expect(outcome.stderr).toContain('line 3: kind: “8” is no option');
});

test('a definition without a panel', () => {
  const bare = scratch.variant('tarn-1', (d) => {
    delete (d as unknown as Record<string, unknown>)['panel'];
  });
  expect(run(['keys', '--controller', bare, '--set', '1=2']).stderr).toContain('panel: expected a panel');
});
