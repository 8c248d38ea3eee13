import type { Measured, MeasuredKind } from '@brine/core/judgement/following';
import {
  printFixed,
  quantity,
  unitSymbol,
  valueIn,
  type TemperatureUnit,
} from '@brine/core/foundation/quantities';
import { shownTime } from '../run/testWords.ts';

/** What is measured by itself, in words. */
export const measuredNames: Readonly<Record<MeasuredKind, string>> = {
  powerDelay: 'From power to the first start',
  cutOut: 'Air as it stops',
  cutIn: 'Air as it starts',
  rest: 'Rest between stop and start',
  run: 'Run',
  defrost: 'Length of the defrost',
  defrostEnd: 'Coil as the defrost ends',
  drain: 'Drain: from the heat’s end to the compressor',
  fanDelay: 'From the compressor to the fans, after a defrost',
  fanCoil: 'Coil as the fans start, after a defrost',
};

const TEMPERATURES: ReadonlySet<MeasuredKind> = new Set(['cutOut', 'cutIn', 'defrostEnd', 'fanCoil']);

/** A measurement with how exactly it is known: `4:02 min ± 1 s`, `38.1 °F ± 0.2`. */
export function measuredText(
  { kind, value, plusMinus }: Omit<Measured, 'at'>,
  unit: TemperatureUnit,
): string {
  if (!TEMPERATURES.has(kind)) return `${shownTime(value)} ± ${Math.max(1, Math.ceil(plusMinus - 1e-9))} s`;
  const shown = printFixed(valueIn(quantity(value, 'degC'), unit), 1);
  const off = valueIn(quantity(plusMinus, 'K'), unit === 'degF' ? 'deltaF' : 'K');
  return `${shown} ${unitSymbol(unit)} ± ${printFixed(Math.max(0.1, off), 1)}`;
}
