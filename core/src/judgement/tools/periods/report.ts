import { baseValue, clockWords, isQuantity, quantity } from '../../../foundation/quantities/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { simulate, type Scenario, type Spread } from '../../../machines/simulation/index.ts';
import { unitScenario } from '../../tuning/index.ts';
import { figure, goodsHold, shownCelsius, tryAll, type ToolRow, type ToolWork } from '../report.ts';
import { coolingForInterval, cycleMinutes, cyclesPerDay, startsOfDay, type PeriodCycle } from './cycle.ts';

const triedCooling = [180, 240, 360, 480];
const triedDefrost = [20, 30, 45];

interface Trial {
  readonly cycle: PeriodCycle;
  readonly ice: number;
  /** From what on ice counts on this coil, kg. */
  readonly noticed: number;
  readonly product: Spread;
  readonly share: number;
}

/** A control that counts a cooling period and a defrost period in turn, on any box: what each pair of them does in two days, and what that is as a clock interval. */
export const periodsReport: ToolWork = ({ unit, values, display }, progress) => {
  const scenario = unitScenario(unit, values, { hours: 48 });
  if (typeof scenario === 'string') return scenario;
  const c = (value: number) => shownCelsius(value, display);
  const grid = triedCooling.flatMap((cooling) => triedDefrost.map((defrost) => ({ cooling, defrost })));
  const trials = tryAll(grid, (cycle) => tryCycle(scenario, cycle), progress);
  if (trials === null || typeof trials === 'string') return trials;
  const holds = (t: Trial) => t.ice <= t.noticed && goodsHold(t.product, scenario.storage);
  const best = trials.filter(holds).toSorted((a, b) => a.share - b.share)[0];
  const set = setCycle(values);
  return {
    answer: best
      ? `${best.cycle.cooling} min of cooling, then ${best.cycle.defrost} min of defrost: the least time away that keeps coil and product.`
      : 'None of these pairs keeps both coil and product: look at the box and at how it is cleared first.',
    words: [
      set
        ? `In the unit: ${set.cooling} min of cooling, then ${set.defrost} min of defrost: every ${cycleMinutes(set)} min, ${figure(cyclesPerDay(set), 'a day')}; from 06:00 at ${startsOfDay(
            set,
            360,
          )
            .map((minutes) => clockWords(60 * minutes))
            .join(
              ', ',
            )}. Counted as a clock interval the same would be ${cycleMinutes(set)} min, not ${set.cooling}; an interval of ${set.cooling} min between starts is ${coolingForInterval(set.cooling, set.defrost)} min of cooling.`
        : 'Defrost is not counted by a cooling period here.',
    ],
    tables: [
      {
        id: 'periods',
        title: 'Cooling period and defrost period, two days each',
        heads: ['Periods', 'Defrosts a day', 'Coil', 'Product at most'],
        rows: trials.map((t): ToolRow => ({
          id: `${t.cycle.cooling}:${t.cycle.defrost}`,
          cells: [
            `${t.cycle.cooling} + ${t.cycle.defrost} min`,
            `${figure(cyclesPerDay(t.cycle), '')}, every ${figure(cycleMinutes(t.cycle), 'min', 0)}`,
            t.ice > t.noticed ? `${figure(t.ice * 1000, 'g', 0)} of ice left` : 'clear',
            c(t.product.max),
          ],
          best: t === best,
          off: !holds(t),
          values: cycleValues(t.cycle),
          why: `${t.cycle.cooling} min of cooling and ${t.cycle.defrost} min of defrost: coil clear, product at most ${c(t.product.max)} in two simulated days`,
        })),
      },
    ],
  };
};

/** The periods as settings; how the coil is cleared and what ends a defrost stay as they are. */
const cycleValues = ({ cooling, defrost }: PeriodCycle): SettingValues => ({
  'defrost.initiation': 'coolingTime',
  'defrost.interval': quantity(cooling, 'min'),
  'defrost.maxDuration': quantity(defrost, 'min'),
});

/** The periods as set; null where defrost is not counted so. */
function setCycle(values: SettingValues): PeriodCycle | null {
  const [interval, longest] = [values['defrost.interval'], values['defrost.maxDuration']];
  if (values['defrost.initiation'] !== 'coolingTime' || !isQuantity(interval) || !isQuantity(longest))
    return null;
  return { cooling: Math.round(baseValue(interval) / 60), defrost: Math.round(baseValue(longest) / 60) };
}

function tryCycle(scenario: Scenario, cycle: PeriodCycle): Trial {
  const defrost = {
    ...scenario.config.defrost,
    initiation: 'coolingTime' as const,
    interval: cycle.cooling * 60,
    maxDuration: cycle.defrost * 60,
  };
  const { figures } = simulate({ ...scenario, config: { ...scenario.config, defrost } }, { stride: 5 })!;
  return {
    cycle,
    ice: figures.iceLeftAfterDefrost ?? figures.iceGrown,
    noticed: figures.iceNoticed,
    product: figures.product,
    share: figures.defrostPercent,
  };
}
