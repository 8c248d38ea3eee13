import type { Measured, MeasuredKind } from '@brine/core/judgement/following';
import { printFixed, quantity, valueIn, type TemperatureUnit } from '@brine/core/foundation/quantities';

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

/** A measurement with how exactly it is known: `4 min 02 s ± 1 s`, `38.1 °F ± 0.2`. */
export function measuredText(
  { kind, value, plusMinus }: Omit<Measured, 'at'>,
  unit: TemperatureUnit,
): string {
  if (TEMPERATURES.has(kind)) {
    const shown = valueIn(quantity(value, 'degC'), unit);
    const off = unit === 'degF' ? plusMinus * 1.8 : plusMinus;
    return `${printFixed(shown, 1)} ${unit === 'degF' ? '°F' : '°C'} ± ${printFixed(Math.max(0.1, off), 1)}`;
  }
  return `${spanText(value)} ± ${Math.max(1, Math.ceil(plusMinus - 1e-9))} s`;
}

/** `42 s`, `4 min 02 s`, `1 h 05 min`. */
function spanText(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return `${whole} s`;
  if (whole < 3600) return `${Math.floor(whole / 60)} min ${String(whole % 60).padStart(2, '0')} s`;
  return `${Math.floor(whole / 3600)} h ${String(Math.round((whole % 3600) / 60)).padStart(2, '0')} min`;
}
