import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { root } from '../testing/scratch.ts';
import { run } from './run.ts';

const circuit = join(root, 'docs/formats/examples/wire/reach-in.circuit.json');
const settings = join(root, 'docs/formats/examples/freezer.settings.json');
const energised = (...more: readonly string[]) => {
  const { stdout, stderr, exitCode } = run(['energise', circuit, ...more]);
  return { stderr, exitCode, json: exitCode === 0 ? JSON.parse(stdout) : null };
};

describe('energise', () => {
  test('says of a finished plan that it is safe, and of no settings nothing that starts', () => {
    expect(energised().json).toEqual({ verdict: 'safe', dangers: [], starts: [] });
  });

  // By hand: with the neutral of the fan missing its second terminal hangs on the hot through the motor.
  test('names a live loose end of a half-done one, with its volts', () => {
    const { json } = energised('--done', 'L1-F1.a,F1.b-M2.1');
    expect(json.verdict).toBe('unsafe');
    const fan = json.dangers.find((d: { at: string }) => d.at === 'M2.2');
    expect(fan).toMatchObject({ code: 'looseEndLive', volts: expect.closeTo(120, 0) });
  });

  test('says when each output may start, and by what', () => {
    const { json } = energised('--settings', settings, '--minutes', '15');
    const fan = json.starts.find((s: { output: string }) => s.output === 'compressor');
    expect(fan).toMatchObject({ by: ['powerOn', 'boxWarm'] });
    expect(Number.isInteger(fan.earliestSeconds)).toBe(true);
  });

  test.each([
    [['--done', 'L1-F9.a'], '--done: L1-F9.a: expected wires of'],
    [['--minutes', '0'], '--minutes: 0: expected more than 0'],
  ])('%j is refused', (more, words) => {
    const { stderr, exitCode } = energised(...more);
    expect(exitCode).toBe(2);
    expect(stderr).toContain(words);
  });
});
