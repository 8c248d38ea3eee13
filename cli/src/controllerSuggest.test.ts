import { afterAll, expect, test } from '@jest/globals';
import { join } from 'node:path';
import { readController } from '@brine/core/controllers/panel';
import { run } from './run.ts';
import { root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
const peat = join(root, 'docs/formats/examples/peat-6.table.tsv');

function suggest(...args: string[]) {
  const outcome = run(['controller', 'suggest', ...args]);
  expect(outcome).toMatchObject({ stderr: '', exitCode: 0 });
  return JSON.parse(outcome.stdout);
}
const refused = (...args: string[]) => run(['controller', 'suggest', ...args]);

test('sixty rows become a definition that passes the check', () => {
  const { columns, rows, open, definition } = suggest(peat, '--family', 'Peat 6', '--panel', 'holdList');
  expect(columns).toEqual(['code', 'description', 'min', 'max', 'unit', 'default']);
  expect(rows).toHaveLength(60);
  expect(rows[0]).toMatchObject({
    line: 2,
    code: 'J10',
    setting: 'regulation.differential',
    runnerUp: { setting: 'regulation.setpoint' },
  });
  expect(open).toEqual([]);
  expect(definition).toMatchObject({ id: 'peat-6', family: 'Peat 6' });
  expect('definition' in readController(definition)).toBe(true);
});

test('a row that cannot be a parameter is named as open, not dropped', () => {
  const path = scratch.file(
    'odd.csv',
    'Code,Description,Min,Max,Unit,Default\nSP,Set point,0,9,°C,4\nrd,Differential,1,9,K,\n',
  );
  const { rows, open } = suggest(path);
  expect(rows[1].problems).toEqual(['a range without a factory value']);
  expect(open).toEqual([{ line: 3, code: 'rd', message: 'expected a factory value' }]);
});

test('earlier choices are learned from', () => {
  const path = scratch.file(
    'odd.csv',
    'Code,Description,Min,Max,Unit,Default\nXX,Wall guard,0,9,min,4\nSP,Set point,0,9,°C,4\n',
  );
  const learned = scratch.file('choices.csv', 'description,setting\nWall guard,compressor.minOffTime\n');
  expect(suggest(path).rows[0].setting).toBeNull();
  expect(suggest(path, '--learned', learned).rows[0].setting).toBe('compressor.minOffTime');
});

test.each([
  [[], 'expected a parameter table'],
  [['/nowhere.csv'], '/nowhere.csv: no such file'],
  [[peat, '--panel', 'knob'], '--panel: knob: no such pattern; expected one of holdList'],
])('%j is refused in one line', (args, sentence) => {
  const outcome = refused(...args);
  expect(outcome).toMatchObject({ stdout: '', exitCode: 2 });
  expect(outcome.stderr).toContain(sentence);
});

test('an empty table, and a learned setting that does not exist', () => {
  expect(refused(scratch.file('empty.csv', '\n')).stderr).toContain('Nothing to read');
  const learned = scratch.file('choices.csv', 'description,setting\nWall guard,fans.speed\n');
  expect(refused(peat, '--learned', learned).stderr).toContain('line 2: fans.speed is not a known setting');
});
