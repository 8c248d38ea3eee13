import { expect, test } from '@jest/globals';
import type { TuningRow } from '@brine/core/judgement/tuning';
import { mountPage } from '../../../testing/mounting.ts';
import TradeOff from './TradeOff.vue';

const row = (index: number, score: number, price: number, against: readonly string[] = []): TuningRow => ({
  index,
  score,
  price,
  against,
  change: index === 0 ? {} : { 'defrost.interval': { value: index + 3, unit: 'h' } },
  present: index === 0,
});
const drawn = (rows: readonly TuningRow[], advised: TuningRow) =>
  mountPage(TradeOff, {
    props: { rows, advised, scoreLabel: 'min a day', priceLabel: 'ice left, g' },
    answers: {},
  });
const names = (page: Awaited<ReturnType<typeof drawn>>) => page.findAll('text.name').map((n) => n.text());

test('the advised one and what is set are named', async () => {
  const rows = [row(0, 170, 20), row(1, 150, 10), row(2, 90, 700, ['700 g of ice left'])];
  expect(names(await drawn(rows, rows[1]!))).toEqual(['advised', 'in the unit']);
  expect(names(await drawn(rows, rows[0]!))).toEqual(['in the unit: best']);
});

test('where none is sound nothing is called best or advised', async () => {
  const rows = [
    row(0, 0, 6155, ['6155 g of ice left', 'no defrost']),
    row(1, 9, 5000, ['5000 g of ice left']),
  ];
  expect(names(await drawn(rows, rows[1]!))).toEqual(['least against it', 'in the unit']);
  expect(names(await drawn(rows, rows[0]!))).toEqual(['in the unit']);
});

test('variants that come to the same thing get an axis that can be read', async () => {
  const rows = [0, 1, 2].map((i) => row(i, 0, 6155.582794 + i * 1e-9, ['no defrost']));
  const page = await drawn(rows, rows[0]!);
  const ticks = page.findAll('text.font-mono').map((tick) => tick.text());
  expect(ticks.length).toBeGreaterThan(4);
  expect(ticks.filter((tick) => tick.length > 5)).toEqual([]);
});
