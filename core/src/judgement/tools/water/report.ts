import { goodsOf } from '../../../foundation/unit/index.ts';
import { baseValue, isQuantity, quantity } from '../../../foundation/quantities/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import {
  figure,
  shownCelsius,
  shownKelvin,
  tryAll,
  typedCelsius,
  typedKelvin,
  type ToolInput,
  type ToolRow,
  type ToolWork,
} from '../report.ts';
import { endsAt, secondsBetween, tankOf } from '../../../machines/tank/index.ts';
import { stagesDay, type Pour } from '../../../machines/simulation/index.ts';
import { unitScenario } from '../../tuning/index.ts';

/** Ice is feared this near to freezing, K: a surface is not everywhere the same. */
const ICE_MARGIN = 0.5;
/** A day's delivery: a tenth of the water at the air's temperature, at nine. */
const poured = (input: ToolInput): Pour => ({
  at: 9 * 3600,
  share: 0.1,
  celsius: input.facts.roomAir,
});
const beyondSwing = [0.5, 1, 2];
const delays = [0, 30, 60];

/** A tank of water: how slowly it answers, whether its chiller ices, limits that do not nag. */
export const waterReport: ToolWork = (input, progress) => {
  const { facts, values, display } = input;
  const tank = tankOf(facts);
  const asTold = (set: SettingValues) => unitScenario({ ...input.unit, facts }, { ...values, ...set });
  const scenario = asTold({});
  if (typeof scenario === 'string') return scenario;
  const day = stagesDay(scenario);
  const water = day.figures.air;
  const k = (value: number) => shownKelvin(value, display);
  const c = (value: number) => shownCelsius(value, display);
  const surface = water.min - tank.surfaceBelow;
  const iced = surface < tank.freezing + ICE_MARGIN;
  const lowest = tank.freezing + ICE_MARGIN + tank.surfaceBelow;
  const perHour = (watts: number) =>
    ((tank.pump + watts + tank.conductance * (tank.air - water.mean)) / tank.heat) * 3600;
  const limit = goodsOf(input.unit).max;
  const goodsAt = limit ? baseValue(limit.value) : null;

  const trials = tryAll(
    beyondSwing.flatMap((beyond) => delays.map((delay) => ({ beyond, delay }))),
    ({ beyond, delay }) => {
      const high = water.max + beyond;
      const set = limitValues(input, high, water.min - beyond, delay);
      const busy = asTold(set);
      const reaches = secondsBetween(tank, water.mean, high, 0) / 60;
      return {
        high,
        low: water.min - beyond,
        delay,
        set,
        nags: typeof busy === 'string' ? 0 : stagesDay(busy, [poured(input)]).alarms,
        called: reaches + delay,
      };
    },
    progress,
  );
  if (trials === null || typeof trials === 'string') return trials;
  const goodsMinutes = goodsAt === null ? Infinity : secondsBetween(tank, water.mean, goodsAt, 0) / 60;
  const sound = trials.filter((t) => t.nags === 0 && t.called < goodsMinutes);
  const best = sound.toSorted((a, b) => a.called - b.called)[0];
  const rows = trials.map((t): ToolRow => ({
    id: `${t.high.toFixed(2)}:${t.delay}`,
    cells: [
      `${c(t.low)} to ${c(t.high)}`,
      figure(t.delay, 'min', 0),
      t.nags === 0 ? 'none' : String(t.nags),
      t.called === Infinity ? 'never: the room is too cold' : figure(t.called, 'min', 0),
    ],
    best: t === best,
    off: t.nags > 0 || t.called >= goodsMinutes,
    values: t.set,
    why: `swing of the water ${c(water.min)} to ${c(water.max)} and ${k(t.high - water.max)} beyond; no alarm on a day with a delivery`,
  }));
  return {
    answer: iced
      ? `Ice at the chiller: its surface is ${k(tank.surfaceBelow)} colder than the water, ${c(surface)}, and this water freezes at ${c(tank.freezing)}. Keep the water at ${c(lowest)} or above, stir it, or take a larger surface.`
      : `No ice at the chiller: its surface is at ${c(surface)}, this water freezes at ${c(tank.freezing)}.`,
    words: [
      `Water answers slowly: the chiller pulls ${k(-perHour(-tank.chiller))} an hour, the room warms it ${k(perHour(0))} an hour, the heater ${k(perHour(tank.heater))} an hour. Wait an hour after a change before you judge it.`,
      `A day: ${day.starts === 1 ? 'one start' : `${day.starts} starts`} of the first output, chiller ${figure(day.coolingHours, 'h')}, heater ${figure(day.heatingHours, 'h')}, water ${c(water.min)} to ${c(water.max)}, ${figure(day.figures.kWhPerDay, 'kWh')}.`,
      day.turnovers > 0
        ? `Chiller and heater follow each other within the hour ${day.turnovers} times: widen the dead band.`
        : 'Chiller and heater do not follow each other within an hour.',
      `Without the machine the water ends at ${c(endsAt(tank, 0))}.`,
      'Probe in a sealed pocket or with a sealed end: water that creeps into the cable makes it read wrong by little, for weeks.',
    ],
    tables: [
      {
        id: 'limits',
        title: 'Alarm limits, on a day with a delivery',
        heads: ['Limits', 'Delay', 'Keeps sounding', 'Dead chiller called after'],
        rows,
      },
    ],
    caution:
      'Salt water and mains: every socket behind a residual-current device, cables with a drip loop, the local electrical code first. Whether shellfish may be sold is the owner’s and the authority’s decision.',
  };
};

/** Limits in the way the alarms are given: absolute, or from the set point. */
function limitValues(
  { values, display }: ToolInput,
  high: number,
  low: number,
  delay: number,
): SettingValues {
  const set = values['regulation.setpoint'];
  const at = isQuantity(set) ? baseValue(set) : 0;
  const limits =
    values['alarms.reference'] === 'relative'
      ? {
          'alarms.highOffset': typedKelvin(high - at, display),
          'alarms.lowOffset': typedKelvin(at - low, display),
        }
      : {
          'alarms.reference': 'absolute',
          'alarms.highTemperature': typedCelsius(high, display),
          'alarms.lowTemperature': typedCelsius(low, display),
        };
  return { ...limits, 'alarms.delay': quantity(delay, 'min') };
}
