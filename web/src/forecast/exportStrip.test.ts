import { expect, test } from '@jest/globals';
import { readLog, type Sample } from '@brine/core/simulation';
import { seriesCsv, standaloneSvg } from './exportStrip.ts';

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
  expect(text.split('\r\n')[2]).toBe('30,3.46,-2,3,0.1235,1,0,1,0,1');
  expect(readLog(text)).toMatchObject([
    { t: 0, air: 3.46, coil: -2, door: true },
    { t: 30, air: 3.46 },
  ]);
});

test('a drawing that stands alone carries its looks and no class of the page', () => {
  document.body.innerHTML = '<svg class="a"><text class="b" style="fill: rgb(1, 2, 3)">12</text></svg>';
  const text = standaloneSvg(document.querySelector('svg')!);
  expect(text).toContain('xmlns="http://www.w3.org/2000/svg"');
  expect(text).toContain('rgb(1, 2, 3)');
  expect(text).not.toContain('class=');
});
