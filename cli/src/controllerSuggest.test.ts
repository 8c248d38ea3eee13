import { afterAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
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
  expect(rows.slice(0, 2)).toMatchObject([
    { line: 2, code: 'J10', setting: 'regulation.differential', runnerUp: null },
    { line: 3, code: 'J11', setting: 'regulation.setpointMin', runnerUp: { setting: 'regulation.setpoint' } },
  ]);
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

/** A freezer's table as many are: no row says what is counted to a defrost, nor what ends it. */
const freezerTable = `Par;Description;Min;Max;Default;U.M.
SP;Set point;-40;10;-20;°C
HY;Hysteresis;1;15;2;°C
AC;Compressor minimum off time;0;15;3;min
dI;Interval between defrosts;1;48;6;h
dE;Defrost end temperature;0;30;13;°C
dd;Maximum duration of defrost;1;90;45;min
dt;Drip time;0;20;5;min
FS;Fan stop temperature;-30;15;-2;°C
Fd;Fan delay after defrost;0;20;4;min
AH;High temperature alarm above set point;1;40;8;°C
`;

test('what no row says is deduced with its reason, and a sheet on the draft is a freezer that defrosts', () => {
  const path = scratch.file('own.csv', freezerTable);
  const { implied, definition } = suggest(path);
  const fact = (setting: string) => implied.find((i: { setting: string }) => i.setting === setting);
  expect(fact('defrost.initiation')).toMatchObject({
    value: 'interval',
    because: expect.stringContaining('dI'),
  });
  expect(fact('defrost.termination')).toMatchObject({
    value: 'temperature',
    because: expect.stringContaining('dE'),
  });
  expect(fact('fans.control')).toMatchObject({ value: 'controlled' });
  const control = scratch.file('own.controller.json', JSON.stringify(definition));
  const sheet = scratch.sheet('SP=-21 HY=2 AC=3 dI=6 dE=13 dd=45 dt=5 FS=-2 Fd=4 AH=8');
  const decoded = run(['decode', '--controller', control, '--sheet', sheet]);
  expect(decoded).toMatchObject({ stderr: '', exitCode: 0 });
  const { values } = JSON.parse(decoded.stdout).settings;
  expect(values).toMatchObject({ 'defrost.initiation': 'interval', 'defrost.termination': 'temperature' });
  const example = JSON.parse(
    readFileSync(join(root, 'docs/formats/examples/fish-freezer.scenario.json'), 'utf8'),
  );
  const scenario = scratch.file('own.scenario.json', JSON.stringify({ ...example, settings: values }));
  const day = JSON.parse(run(['simulate', scenario]).stdout);
  // Every six hours for two days: eight, each ended by the coil.
  expect(day.metrics.defrosts).toMatchObject({ temperature: 8, time: 0 });
});
