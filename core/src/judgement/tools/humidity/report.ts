import { baseValue, isQuantity, quantity } from '../../../foundation/quantities/index.ts';
import { boxOfScenario, type Scenario } from '../../../machines/simulation/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { unitScenario } from '../../tuning/index.ts';
import { bufferTable } from '../buffer/table.ts';
import { figure, shownCelsius, tryAll, type ToolInput, type ToolRow, type ToolWork } from '../report.ts';
import { dryingCoil } from './coilDries.ts';
import { decideHumidity, DAYS_BETWEEN, MOST_MINUTES, STEP_MINUTES } from './decide.ts';
import { pumpPrice, pumpRows } from './pump.ts';
import { roomDay } from './roomDay.ts';

const tried = [0, STEP_MINUTES, 2 * STEP_MINUTES, MOST_MINUTES];

/** Minutes of run-on in force; 0 where none is set. */
export function runOnOf(values: SettingValues): number {
  const runOn = values['fans.runOnTime'];
  return isQuantity(runOn) ? Math.round(baseValue(runOn) / 60) : 0;
}

const CELLAR_DAYS = { hours: 48 } as const;
/** Of the work: the run-ons, then the bottles. */
const RUNS_SHARE = 0.6;

const runOnSetting = (minutes: number): SettingValues => ({
  'fans.control': 'controlled',
  'fans.whileCompressorOff': 'stop',
  'fans.runOnTime': quantity(minutes, 'min'),
});

/** A ripening cellar: the run-on of the fans step by step with readings between, and the drain pump's action with its price. */
export const humidityReport: ToolWork = (input, progress) => {
  const { unit, values, facts, display } = input;
  const base = cellar(input, values);
  if (typeof base === 'string') return base;
  const done = tryAll(
    tried,
    (minutes) => {
      const scenario = cellar(input, { ...values, ...runOnSetting(minutes) });
      return typeof scenario === 'string' ? scenario : { minutes, day: roomDay(scenario) };
    },
    (share) => progress(RUNS_SHARE * share),
  );
  if (done === null || typeof done === 'string') return done;
  const runs = done;
  const buffers = bufferTable(input, CELLAR_DAYS, (share) => progress(RUNS_SHARE + (1 - RUNS_SHARE) * share));
  if (buffers === null || typeof buffers === 'string') return buffers;
  const runOn = runOnOf(values);
  const wish = { low: facts.humidityLow, high: facts.humidityHigh, runOn };
  const decision = decideHumidity(input.humidity, wish, input.now);
  const read = input.humidity.readings.at(-1)?.percent ?? (wish.low + wish.high) / 2;
  const coil = dryingCoil(boxOfScenario(base), base.config.setpoint, read / 100);
  const wettest = runs[0]!.day.drained;
  const price = pumpPrice(input, wettest);
  if (typeof price === 'string') return price;
  const stops = values['fans.whileCompressorOff'] === 'stop';
  const back = (minutes: number, perDay: number) =>
    // No more than comes to the coil.
    Math.min(wettest, Math.min(coil.held, coil.perMinute * minutes) * perDay);
  return {
    answer: `${decision.why}${decision.to === null ? '' : ` To ${decision.to} min, then wait ${DAYS_BETWEEN} days and read again.`}${decision.from ? ` Read again from ${decision.from.slice(0, 10)} on.` : ''}`,
    words: [
      ...(stops
        ? []
        : ['The fans do not stop with the compressor as set: a run-on does nothing until they do.']),
      `At ${figure(read, '%', 0)} a wet coil of this size gives ${figure(coil.perMinute * 1000, 'g a minute', 0)} back and would be dry after about ${figure(coil.minutes, 'min', 0)} (an estimate from its size). Look at it when the fans stop: a dry coil has nothing more to give, and a reading that no longer rises says the same.`,
      `A probe in a bottle follows ${unit.goods === 'ripeningCheese' ? 'the cheese' : 'the product'}, not the air, and hides the swing of a longer run-on. Hang a second thermometer in the air for these days.`,
    ],
    tables: [
      {
        id: 'run-on',
        title: 'Run-on of the fans, a simulated day each',
        heads: ['Run-on', 'Water given back', 'Fans run', 'Air'],
        rows: runs.map(({ minutes, day }): ToolRow => ({
          id: String(minutes),
          cells: [
            `${minutes} min${minutes === runOn ? ', in the unit' : ''}`,
            figure(back(minutes, day.stops), 'l a day', 2),
            figure(day.fanHours, 'h a day'),
            `${shownCelsius(day.air.min, display)} to ${shownCelsius(day.air.max, display)}`,
          ],
          best: minutes === decision.to,
          // Only the step that is due is offered: never two at once, never before a reading.
          off: minutes !== decision.to,
          ...(minutes === decision.to
            ? { values: runOnSetting(minutes), why: `humidity plan: ${decision.why}` }
            : {}),
        })),
      },
      {
        id: 'pump',
        title: `Drain pump fails, ${figure(wettest, 'l')} of water a day`,
        heads: ['The control then', 'Water', 'Product'],
        rows: pumpRows(price, facts.hoursToHelp),
      },
      buffers,
    ],
    caution:
      'Water under a room is a slip and, near sockets, a shock: isolate before a pump or its float is touched.',
  };
};

/** Two days of the cellar in the humidity around it; a sentence where they cannot be run. */
function cellar({ unit, facts }: ToolInput, values: SettingValues): Scenario | string {
  const scenario = unitScenario(unit, values, CELLAR_DAYS);
  if (typeof scenario === 'string') return scenario;
  return { ...scenario, choice: { ...scenario.choice, humidity: facts.roomHumidity / 100 } };
}
