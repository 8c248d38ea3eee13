import { printFor, printNumber, quantity, type TemperatureUnit } from '@brine/core/foundation/quantities';
import type { EstimatedId, PredictedId } from '@brine/core/machines/identification';

/** Predicted figures by name, in the order they are read. */
export const predictedNames: Readonly<Record<PredictedId | EstimatedId, string>> = {
  startsPerHour: 'Starts an hour',
  dutyPercent: 'Running, defrosts left out',
  defrostMinutes: 'Defrost lasts',
  defrostsPerDay: 'Defrosts a day',
  airMean: 'Air on average',
  airMax: 'Air, warmest in three days',
  productMax: 'Core of the product, warmest',
  iceLeft: 'Ice left by a defrost, at most',
  energyPerDay: 'Energy a day',
};

const round = (n: number, places: number) => Math.round(n * 10 ** places) / 10 ** places;

/** A predicted figure for its reader, as no thermometer and no stopwatch tells it better. */
export function predictedWords(
  figure: PredictedId | EstimatedId,
  value: number,
  unit: TemperatureUnit,
): string {
  switch (figure) {
    case 'startsPerHour':
    case 'defrostsPerDay':
      return printNumber(round(value, 1), 1);
    case 'dutyPercent':
      return `${Math.round(value)} %`;
    case 'defrostMinutes':
      return `${Math.round(value)} min`;
    case 'iceLeft':
      return `${Math.round(value * 1000)} g`;
    case 'energyPerDay':
      return `${value < 10 ? round(value, 1) : Math.round(value)} kWh`;
    case 'airMean':
    case 'airMax':
    case 'productMax':
      return printFor(quantity(round(value, 1), 'degC'), unit);
  }
}
