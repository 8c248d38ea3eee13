import { describe, expect, test } from '@jest/globals';
import { scenarioOf } from '../../../testing/ownLog.ts';
import { BOX_FORMAT, readBox } from './boxFile.ts';
import { naturalOf, pointOf } from './natural.ts';
import { parameterIds, parameters } from './parameters.ts';

const values = Object.fromEntries(
  parameterIds.map((id) => [id, { value: 1, error: 0.1, unit: '', from: 'log' }]),
);
const fit = {
  airRmsKelvin: 0.4,
  startsPerHour: { measured: 3, model: 3.1 },
  dutyPercent: { measured: 50, model: 51 },
  defrostMinutes: null,
  airMean: { measured: 3, model: 3 },
  airDayMax: { measured: 6, model: 6 },
  outputsLogged: true,
};
const box = { format: BOX_FORMAT, parameters: values, fit, findings: [], hours: 48 };

describe('a box file', () => {
  test('is read, and what is not known of it stays', () =>
    expect(readBox({ ...box, colour: 'green' })).toMatchObject({ colour: 'green', hours: 48 }));

  test.each([
    ['format', { ...box, format: 'brine-dial/settings@1' }],
    ['format', { ...box, format: 'brine-dial/box@2' }],
    ['parameters', { ...box, parameters: [] }],
    ['parameters.capacity', { ...box, parameters: { ...values, capacity: undefined } }],
    ['parameters.capacity.value', { ...box, parameters: { ...values, capacity: { value: '9', error: 1 } } }],
    ['parameters.capacity.error', { ...box, parameters: { ...values, capacity: { value: 9, error: -1 } } }],
    ['fit.dutyPercent', { ...box, fit: { ...fit, dutyPercent: 50 } }],
    ['fit.airMean', { ...box, fit: { ...fit, airMean: { measured: 3 } } }],
    ['covariance', { ...box, covariance: [[1]] }],
    ['point', { ...box, point: [0, 1] }],
    ['priors', { ...box, priors: { capacity: { usual: 0, spread: 0 } } }],
    ['priors', { ...box, priors: { colour: { usual: 0, spread: 1 } } }],
    ['drawn', { ...box, drawn: [[1, 2, 3]] }],
  ])('that does not fit names the field %s', (field, data) =>
    expect(readBox(data)).toMatchObject({ problem: true, field }),
  );
});

test('a point comes back from its values in their own units', () => {
  const scenario = scenarioOf('walkInFreezer');
  const at = Float64Array.from(
    parameters,
    (p, i) => p.usual + (p.scale === 'factor' ? 0.05 * (i % 5) : 0.02),
  );
  const covariance = new Float64Array(parameters.length ** 2);
  const natural = naturalOf(scenario, at, covariance);
  const back = pointOf(scenario, Object.fromEntries(parameterIds.map((id) => [id, natural[id].value])));
  for (const i of parameters.keys()) expect(back[i]).toBeCloseTo(at[i]!, 9);
});
