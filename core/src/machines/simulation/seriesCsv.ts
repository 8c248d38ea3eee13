import { writeCsv } from '../../foundation/files/index.ts';
import type { Sample } from './simulate.ts';

const header = [
  'time',
  'air_degC',
  'coil_degC',
  'product_degC',
  'frost_kg',
  'compressor',
  'fan',
  'defrost',
  'stage2',
  'alarm',
  'door',
  'phase',
];

/** The series of a run as CSV, a row a sample: a log that `brine replay` reads again, with frost and phase beside. */
export function seriesCsv(series: readonly Sample[]): string {
  const flag = (on: boolean) => (on ? 1 : 0);
  const round = (value: number, digits: number) => Number(value.toFixed(digits));
  return writeCsv(
    header,
    series.map((s) => [
      s.t,
      round(s.air, 2),
      round(s.coil, 2),
      round(s.product, 2),
      round(s.frost, 4),
      flag(s.compressor),
      flag(s.fan),
      flag(s.defrost),
      flag(s.stage2),
      flag(s.alarm),
      flag(s.door),
      s.phase,
    ]),
  );
}
