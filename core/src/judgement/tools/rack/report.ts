import { quantity } from '../../../foundation/quantities/index.ts';
import { simulate } from '../../../machines/simulation/index.ts';
import { unitScenario } from '../../tuning/index.ts';
import { figure, shownCelsius, tryAll, type ToolRow, type ToolWork } from '../report.ts';

const triedRests = [0, 2, 5, 10];

/** A box whose relay opens a solenoid valve on a rack: why it has no rest of its own, and what a rest would do. */
export const rackReport: ToolWork = ({ unit, values, facts, display }, progress) => {
  const done = tryAll(
    triedRests,
    (minutes) => {
      const set = { 'compressor.minOffTime': quantity(minutes, 'min') };
      const scenario = unitScenario(unit, { ...values, ...set });
      return typeof scenario === 'string'
        ? scenario
        : { minutes, set, figures: simulate(scenario, { stride: 5 })!.figures };
    },
    progress,
  );
  if (done === null || typeof done === 'string') return done;
  const rows = done;
  const none = rows[0]!.figures;
  const c = (value: number) => shownCelsius(value, display);
  return {
    answer:
      'No minimum off time and no start-up delay in this box’s control: its relay opens a solenoid valve. The compressors stand on the rack and keep their own off time; a second one here only lets the box warm.',
    words: [
      `The rack keeps each compressor off ${figure(facts.rackRest, 'min', 0)} by its own control or timer. That one stays as it is: never bridge it, and never count on the box to do its work.`,
      `This valve opens ${figure(none.startsPerHour, 'times an hour')} with nothing held back, air ${c(none.air.min)} to ${c(none.air.max)}. Valves bear that; if it is far more, the differential is too narrow, not the off time too short.`,
      facts.rackRest < 2
        ? 'The rack keeps less than 2 min: ask who looks after it whether a timer is missing there. Mending it here would help this box only.'
        : 'If the box ever gets a compressor of its own, set the minimum off time to 3 min and more first.',
    ],
    tables: [
      {
        id: 'rests',
        title: 'What a minimum off time would do here, a day each',
        heads: ['Minimum off time', 'Valve opens an hour', 'Air', 'Product at most'],
        rows: rows.map(({ minutes, set, figures }): ToolRow => ({
          id: String(minutes),
          cells: [
            minutes === 0 ? 'none' : figure(minutes, 'min', 0),
            figure(figures.startsPerHour, ''),
            `${c(figures.air.min)} to ${c(figures.air.max)}`,
            c(figures.product.max),
          ],
          best: minutes === 0,
          values: set,
          why:
            minutes === 0
              ? 'solenoid valve on a rack: the rack keeps the off time of its own compressors'
              : `a minimum off time of ${minutes} min at the valve, wanted although the rack keeps its own`,
        })),
      },
    ],
    caution:
      'A rack pumps down and starts by itself, and other boxes hang on it: ask who looks after it before a valve is called or shut.',
  };
};
