import { afterAll, describe, expect, test } from '@jest/globals';
import { join } from 'node:path';
import { commands, run } from './run.ts';
import { family, root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
const examples = join(root, 'docs/formats/examples');

/** Runs a command that must succeed, and returns its JSON. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- the tests look into JSON of every command
function json(...argv: string[]): any {
  const outcome = run(argv);
  expect(outcome).toMatchObject({ stderr: '', exitCode: 0 });
  return JSON.parse(outcome.stdout);
}

/** Runs a command that must refuse: nothing on stdout, exactly one line on stderr, exit code 2. */
function refusal(...argv: string[]): string {
  const outcome = run(argv);
  expect({ stdout: outcome.stdout, exitCode: outcome.exitCode }).toEqual({ stdout: '', exitCode: 2 });
  expect(outcome.stderr).toMatch(/^[^\n]+\n$/);
  return outcome.stderr;
}

describe('the dictionary', () => {
  test('as JSON and as CSV it holds the same ids in the same order', () => {
    const ids = json('settings').settings.map((s: { id: string }) => s.id);
    const { stdout } = run(['settings', '--csv']);
    const lines = stdout.trimEnd().split(/\r?\n/);
    expect(lines[0]).toBe('id,kind,unit,choices,meaning');
    expect(lines.slice(1).map((line) => line.split(',')[0])).toEqual(ids);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('controller check', () => {
  test.each(['marl-4', 'skerry-dx', 'gault-p', 'tarn-1'])('%s has no fault', (id) => {
    expect(json('controller', 'check', family(id))).toEqual({ ok: true, faults: [] });
  });

  test('every fault has its path, and the command itself succeeds', () => {
    const broken = scratch.variant('tarn-1', (d) => {
      d.parameters[1]!['setting'] = 'regulation.setpiont';
      (d.parameters[2]!['encoding'] as { min: number }).min = 99;
    });
    const { ok, faults } = json('controller', 'check', broken);
    expect(ok).toBe(false);
    const paths = faults.map((f: { path: string }) => f.path);
    expect(paths).toEqual(
      expect.arrayContaining([
        expect.stringContaining('parameters[1]'),
        expect.stringContaining('parameters[2]'),
      ]),
    );
  });
});

describe('plan and check', () => {
  const unit = join(examples, 'fish-store.unit.json');

  test('what is planned passes every check on the same unit', () => {
    const planned = json('plan', unit).settings as { setting: string; value: unknown; reason: string }[];
    const values = Object.fromEntries(planned.map(({ setting, value }) => [setting, value]));
    const text = JSON.stringify({ format: 'brine-dial/settings@1', values });
    const file = scratch.file('planned.settings.json', text);
    const findings = json('check', file, '--unit', unit).findings as { severity: string }[];
    expect(findings.filter((f) => f.severity === 'error')).toEqual([]);
    expect(values['regulation.setpoint']).toEqual({ value: -11, unit: 'degF' });
    for (const { reason } of planned) expect(reason).toMatch(/^[A-Z−\d].*\.$/);
  });

  test('a differential typed as a temperature is found by name', () => {
    const file = scratch.file(
      'wrong.settings.json',
      '{"format":"brine-dial/settings@1","values":{"regulation.differential":{"value":2,"unit":"degF"}}}',
    );
    const found = json('check', file).findings.find(
      (f: { code: string }) => f.code === 'differenceTypedAsTemperature',
    );
    expect(found).toMatchObject({ severity: 'error', settings: ['regulation.differential'] });
    expect(found.message).toContain('a difference of 2 °F is 1.1 K');
  });

  test('the example of the format has nothing to find', () => {
    expect(json('check', join(examples, 'freezer.settings.json')).findings).toEqual([]);
  });
});

describe('refusals name the file, the place and what was expected', () => {
  test.each([
    [['plan', '/no/such.unit.json'], '/no/such.unit.json: no such file'],
    [['plan', examples], 'is a folder, expected a file'],
    [['plan'], 'expected a file *.unit.json'],
    [['decode', '--controller', family('marl-4')], '--sheet: expected a file'],
    [['settings', '--jsn'], '--jsn: unknown option; expected --csv'],
    [['bake'], 'bake'],
  ])('%j', (argv, words) => {
    expect(refusal(...argv)).toContain(words);
  });

  test('an option without its value', () => {
    expect(refusal('translate', '--from')).toContain('--from: expected a value after it');
  });

  test.each([
    ['no CSV', 'just words\n', 'code'],
    ['empty', '', 'empty'],
    ['no column value', 'code,worth\nSn,1\n', 'value'],
    ['an open quote', 'code,value\n"Sn,1\n', 'line'],
  ])('a sheet: %s', (_, text, words) => {
    const sheet = scratch.file('bad.sheet.csv', text);
    const line = refusal('decode', '--controller', family('gault-p'), '--sheet', sheet);
    expect(line).toContain('bad.sheet.csv');
    expect(line).toContain(words);
  });

  test.each([
    ['no JSON', '{"format": ', 'JSON'],
    ['a list', '[]', 'object'],
    [
      'a newer version',
      '{"format":"brine-dial/unit@2"}',
      'is newer than this program, which reads up to version 1',
    ],
    ['another format', '{"format":"brine-dial/settings@1","values":{}}', 'brine-dial/unit@1'],
  ])('a unit: %s', (_, text, words) => {
    const line = refusal('plan', scratch.file('bad.unit.json', text));
    expect(line).toContain('bad.unit.json');
    expect(line).toContain(words);
  });

  test('a definition with faults is refused with the first and the number of the rest', () => {
    const broken = scratch.variant('tarn-1', (d) => {
      d.parameters[1]!['setting'] = 'no.such';
      d.parameters[2]!['setting'] = 'nor.this';
    });
    expect(refusal('decode', '--controller', broken, '--sheet', scratch.sheet('1=2'))).toMatch(
      /parameters\[1\].*and 1 more: brine controller check/,
    );
  });
});

describe('what spreadsheets leave behind is read', () => {
  const plain = 'code,value\nUn,F\nSn,-2.5\nhY,5\n';
  const decoded = (text: string | Buffer) =>
    json('decode', '--controller', family('gault-p'), '--sheet', scratch.file('s.sheet.csv', text));
  const expected = decoded(plain);

  test('the plain sheet decodes', () => {
    expect(expected.unplaced).toEqual([]);
    expect(expected.settings.values['regulation.setpoint']).toEqual({ value: -2.5, unit: 'degF' });
    expect(expected.settings.values['regulation.differential']).toEqual({ value: 5, unit: 'deltaF' });
  });

  test.each([
    ['a BOM', `\uFEFF${plain}`],
    ['CRLF', plain.replaceAll('\n', '\r\n')],
    ['semicolons and decimal commas', 'code;value\nUn;F\nSn;-2,5\nhY;5\n'],
    ['quotes', 'code,value\n"Un","F"\n"Sn","-2.5"\n"hY","5"\n'],
    ['columns in another order', 'note,value,code\nx,F,Un\ny,-2.5,Sn\nz,5,hY\n'],
    ['no newline at the end', plain.trimEnd()],
  ])('%s', (_, text) => {
    expect(decoded(text)).toEqual(expected);
  });

  test('a code that stands twice: the first counts, the second is said', () => {
    const { settings, unplaced } = decoded(`${plain}Sn,7\n`);
    expect(settings).toEqual(expected.settings);
    expect(unplaced).toEqual([{ code: 'Sn', value: '7', reason: expect.stringContaining('line 5') }]);
  });

  const strangers = (count: number) => Array.from({ length: count }, (_, i) => `zz${i},1\n`).join('');

  test('4,000 unknown codes are all named, and nothing else breaks', () => {
    const { unplaced, settings } = decoded(plain + strangers(4000));
    expect(unplaced).toHaveLength(4000);
    expect(settings).toEqual(expected.settings);
  });

  test('10,000 rows are no settings sheet', () => {
    const sheet = scratch.file('log.sheet.csv', plain + strangers(10_000));
    expect(refusal('decode', '--controller', family('gault-p'), '--sheet', sheet)).toContain(
      '10003 rows; expected at most 5000',
    );
  });
});

test('the overview names every command', () => {
  const { stdout, exitCode } = run(['--help']);
  expect(exitCode).toBe(0);
  for (const command of commands) expect(stdout).toContain(command.usage);
});
