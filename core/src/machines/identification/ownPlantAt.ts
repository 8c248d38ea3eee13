import { usualBoxOf, type OwnPlant, type Scenario } from '../simulation/index.ts';
import { boxAt, USUAL_LOGGER_LAG, valueAt } from './parameters.ts';

/** What a day brings, by chance: which doors, which weather. */
export interface ChanceOfDays {
  readonly seed: number | null;
  readonly weather: readonly number[];
}

/** The plant that a point describes, to be run under any settings. */
export function ownPlantAt(scenario: Scenario, at: Float64Array, chance: ChanceOfDays): OwnPlant {
  const usual = usualBoxOf(scenario);
  return {
    box: boxAt(usual, at),
    usual,
    door: { times: valueAt(at, 'doorUse'), seed: chance.seed },
    swing: valueAt(at, 'ambientSwing'),
    weather: chance.weather,
    humidityFactor: valueAt(at, 'humidity'),
  };
}

/** How a logger's thermometer follows the air, lag s and offset K, and how often it looks, s. */
export interface Logger {
  readonly lag: number;
  readonly offset: number;
  readonly every: number;
}

/** The logger that a point describes. */
export const loggerAt = (at: Float64Array, every: number): Logger => ({
  lag: USUAL_LOGGER_LAG * valueAt(at, 'loggerLag'),
  offset: valueAt(at, 'loggerOffset'),
  every,
});
