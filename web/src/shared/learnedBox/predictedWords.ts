import { printFor, printNumber, quantity, type TemperatureUnit } from '@brine/core/foundation/quantities';
import type { PredictedId } from '@brine/core/machines/identification';

/** Predicted figures by name, in the order they are read. */
export const predictedNames: Readonly<Record<PredictedId, string>> = {
  startsPerHour: 'Starts an hour',
  dutyPercent: 'Running, defrosts left out',
  defrostMinutes: 'Defrost lasts',
  defrostsPerDay: 'Defrosts a day',
  airMean: 'Air on average',
  airMax: 'Air, warmest in three days',
};

const round = (n: number, places: number) => Math.round(n * 10 ** places) / 10 ** places;

/** A predicted figure for its reader, as no thermometer and no stopwatch tells it better. */
export function predictedWords(figure: PredictedId, value: number, unit: TemperatureUnit): string {
  switch (figure) {
    case 'startsPerHour':
    case 'defrostsPerDay':
      return printNumber(round(value, 1), 1);
    case 'dutyPercent':
      return `${Math.round(value)} %`;
    case 'defrostMinutes':
      return `${Math.round(value)} min`;
    case 'airMean':
    case 'airMax':
      return printFor(quantity(round(value, 1), 'degC'), unit);
  }
}
