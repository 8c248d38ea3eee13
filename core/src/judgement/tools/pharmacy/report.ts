import { baseValue, isQuantity, quantity } from '../../../foundation/quantities/index.ts';
import { goodsOf } from '../../../foundation/unit/index.ts';
import { meanKineticTemperature } from '../../../logs/analysis/index.ts';
import { simulate } from '../../../machines/simulation/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { calledAfter, unitScenario } from '../../tuning/index.ts';
import { longestOutside } from '../buffer/outside.ts';
import { bufferTable } from '../buffer/table.ts';
import { figure, shownCelsius, tryAll, type ToolRow, type ToolWork } from '../report.ts';

const triedDelays = [0, 5, 10, 15, 20, 30, 45, 60];
/** Seconds a sample of the mean kinetic temperature stands for. */
const SAMPLE = 60;
const BUSY = { hours: 48, doorUse: 'busy' } as const;
/** Of the work: the delays, then the bottles. */
const DELAYS_SHARE = 0.7;

/** A medicine refrigerator: the alarm's delay against doors, mean kinetic temperature, what a buffered probe does, proof for the file. */
export const pharmacyReport: ToolWork = (input, progress) => {
  const { unit, values, display } = input;
  const c = (value: number) => shownCelsius(value, display);
  const busy = unitScenario(unit, values, BUSY);
  if (typeof busy === 'string') return busy;
  const day = simulate(busy, { sampleEvery: SAMPLE })!;
  const air = day.series.map((s) => s.air);
  const goods = day.series.map((s) => s.product);
  const limits = goodsOf(unit);
  const outside = longestOutside(air, SAMPLE, busy.storage) / 60;
  const trials = tryAll(
    triedDelays,
    (minutes) => {
      const set: SettingValues = { 'alarms.delay': quantity(minutes, 'min') };
      const scenario = unitScenario(unit, { ...values, ...set }, BUSY);
      if (typeof scenario === 'string') return scenario;
      const { alarms } = simulate(scenario, { stride: 5 })!.figures;
      return {
        minutes,
        set,
        nags: Object.values(alarms).reduce((sum, n) => sum + n, 0),
        called: calledAfter({ ...values, ...set }, { unit, stride: 5 }),
      };
    },
    (share) => progress(DELAYS_SHARE * share),
  );
  if (trials === null || typeof trials === 'string') return trials;
  const buffers = bufferTable(input, BUSY, (share) => progress(DELAYS_SHARE + (1 - DELAYS_SHARE) * share));
  if (buffers === null || typeof buffers === 'string') return buffers;
  const sound = trials.filter((t) => t.nags === 0 && t.called.late <= 0);
  // One step of reserve over the shortest that is quiet: no two days are alike.
  const best = sound[1] ?? sound[0] ?? trials.filter((t) => t.nags === 0)[0];
  return {
    answer: best
      ? `A delay of ${best.minutes} min: doors of a busy day do not call it, and a dead compressor is called ${Math.round(best.called.minutes)} min after it dies${best.called.late <= 0 ? ', before the product leaves its limits' : `, ${Math.round(best.called.late)} min after the product has left its own`}.`
      : 'Every delay tried keeps sounding on a busy day: the limits are too near to the band, or the door stands open too long.',
    words: [
      `A busy day: air ${c(Math.min(...air))} to ${c(Math.max(...air))}, product ${c(Math.min(...goods))} to ${c(Math.max(...goods))}, mean kinetic temperature of the air ${c(meanKineticTemperature(air))}, of the product ${c(meanKineticTemperature(goods))} (activation energy 83.144 kJ/mol, from memory).`,
      outside > 0
        ? `Doors and defrosts bring the air outside its limits for up to ${figure(outside, 'min', 0)} on end: a buffered probe that follows the product does not see it, an air probe does.`
        : 'Neither doors nor defrosts bring the air outside its limits.',
      `${limits.min ? c(baseValue(limits.min.value)) : 'No lower limit'} to ${limits.max ? c(baseValue(limits.max.value)) : 'no upper limit'} for ${limits.name.toLowerCase()}: a mean kinetic temperature inside does not excuse an hour outside.`,
      filterWords(values),
      'For the file: the calibration under Prove, Probes (reference, its certificate, before and after), the log with its mean kinetic temperature under Prove, Log, and the signed sheet.',
    ],
    tables: [
      {
        id: 'delays',
        title: 'Delay of the alarm, two busy days each',
        heads: ['Delay', 'Keeps sounding', 'Dead compressor called after', 'Product then'],
        rows: trials.map((t): ToolRow => ({
          id: String(t.minutes),
          cells: [
            figure(t.minutes, 'min', 0),
            t.nags === 0 ? 'none' : String(t.nags),
            Number.isFinite(t.called.minutes) ? figure(t.called.minutes, 'min', 0) : 'not in 8 h',
            t.called.late <= 0
              ? 'inside'
              : Number.isFinite(t.called.late)
                ? `${Math.round(t.called.late)} min outside`
                : 'outside',
          ],
          best: t === best,
          off: t.nags > 0,
          values: t.set,
          why: `${t.nags === 0 ? 'no alarm' : `${t.nags} alarms`} on two busy days, dead compressor called after ${Math.round(t.called.minutes)} min`,
        })),
      },
      buffers,
    ],
    caution:
      'Medicine that was outside its limits is put aside, marked and kept cold; whether it may be used is for the pharmacist, the maker and the authority, not for this program.',
  };
};

function filterWords(values: SettingValues): string {
  const filter = values['probes.filterTime'];
  return isQuantity(filter) && baseValue(filter) > 0
    ? `The control smooths its reading over ${Math.round(baseValue(filter))} s; a buffer bottle around the probe does more.`
    : 'A probe in a bottle of glycol reads more as the product does; note in the file that it is buffered. Regulating by it makes the air swing wider: let the probe in the air regulate, and the buffered one be read and logged.';
}
