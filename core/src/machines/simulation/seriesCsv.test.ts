import { expect, test } from '@jest/globals';
import { readLog } from './readLog.ts';
import { seriesCsv } from './seriesCsv.ts';
import type { Sample } from './simulate.ts';

const sample: Sample = {
  t: 30,
  air: 3.456,
  coil: -2,
  product: 3,
  frost: 0.12346,
  compressor: true,
  fan: false,
  defrost: false,
  phase: 'drain',
  stage2: false,
  alarm: false,
  door: true,
};

test('the series as CSV, and a replay reads it again', () => {
  const text = seriesCsv([{ ...sample, t: 0 }, sample]);
  expect(text.split('\r\n')[2]).toBe('30,3.46,-2,3,0.1235,1,0,0,0,0,1,drain');
  expect(readLog(text)).toMatchObject([
    { t: 0, air: 3.46, coil: -2, door: true },
    { t: 30, air: 3.46 },
  ]);
});
