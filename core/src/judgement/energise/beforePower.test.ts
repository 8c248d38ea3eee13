import { describe, expect, test } from '@jest/globals';
import { freezer } from '../../../testing/circuits.ts';
import { plainCooler, units } from '../../../testing/runs.ts';
import { wireIds } from '../../wiring/circuit/index.ts';
import { beforePower, type PowerQuestion } from './beforePower.ts';

const { s } = units;
const circuit = freezer();
const asked: PowerQuestion = {
  circuit,
  done: wireIds(circuit.wires),
  holds: [
    { name: 'planned', values: { ...plainCooler, 'compressor.powerOnDelay': s(180) } },
    { name: 'factory', values: { ...plainCooler, 'compressor.powerOnDelay': s(60) } },
  ],
  doubts: [],
  minutes: 10,
};
const compressorOf = (question: PowerQuestion) =>
  beforePower(question).starts.find(({ output }) => output === 'compressor');

describe('before the breaker is closed', () => {
  test('the earliest start counts, under whichever values the control may hold', () => {
    expect(beforePower(asked).verdict).toBe('safe');
    expect(compressorOf(asked)).toMatchObject({ earliestSeconds: 60, under: 'factory' });
    expect(compressorOf({ ...asked, holds: asked.holds.slice(0, 1) })).toMatchObject({
      earliestSeconds: 180,
      under: 'planned',
    });
  });

  test.each([
    ['a doubt about the circuit', { doubts: ['A wire is in doubt.'] }],
    ['no values', { holds: [] }],
    ['values that no machine runs', { holds: [{ name: 'planned', values: {} }] }],
  ])('%s: not known, never safe', (_, change) => {
    const said = beforePower({ ...asked, ...change });
    expect(said.verdict).toBe('notKnown');
    expect(said.unknown).toHaveLength(1);
  });

  test('a danger is told whatever else is not known', () => {
    const done = asked.done.filter((id) => id !== 'M1.2-N');
    expect(beforePower({ ...asked, done, doubts: ['A wire is in doubt.'] }).verdict).toBe('unsafe');
  });
});
