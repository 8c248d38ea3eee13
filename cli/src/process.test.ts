import { afterAll, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { family, root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());

/** Starts the program as a shell would. */
const brine = (...argv: string[]) =>
  spawnSync(process.execPath, [join(root, 'cli/bin/brine.mjs'), ...argv], {
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '' },
  });

test('the program prints JSON and ends with 0, from any folder', () => {
  const result = brine('decode', '--controller', family('tarn-1'), '--sheet', scratch.sheet('u=2 1=38 2=5'));
  expect(result).toMatchObject({ status: 0, stderr: '' });
  expect(JSON.parse(result.stdout).settings.values['regulation.setpoint']).toEqual({
    value: 38,
    unit: 'degF',
  });
});

test('a refusal is one line on stderr, nothing on stdout, exit code 2', () => {
  const result = brine(
    'decode',
    '--controller',
    family('tarn-1'),
    '--sheet',
    scratch.file('e.sheet.csv', ''),
  );
  expect(result).toMatchObject({ status: 2, stdout: '' });
  expect(result.stderr.trimEnd().split('\n')).toHaveLength(1);
});

test('a long table through a pipe is not cut off', () => {
  const rows = Array.from({ length: 4_900 }, (_, i) => `unknown-${i},1`).join('\n');
  const sheet = scratch.file('long.sheet.csv', `code,value\n${rows}\n`);
  const result = spawnSync(
    'sh',
    [
      '-c',
      `"${process.execPath}" "${join(root, 'cli/bin/brine.mjs')}" decode --controller "${family('tarn-1')}" --sheet "${sheet}" | cat`,
    ],
    { encoding: 'utf8', env: { ...process.env, NODE_OPTIONS: '' }, maxBuffer: 1 << 26 },
  );
  expect(JSON.parse(result.stdout).unplaced).toHaveLength(4_900);
});
