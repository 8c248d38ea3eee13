import { MAX_STARTS_PER_HOUR } from '../../../foundation/limits/index.ts';
import { baseValue, isQuantity, quantity } from '../../../foundation/quantities/index.ts';
import { simulate } from '../../../machines/simulation/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { energyOf, unitScenario } from '../../tuning/index.ts';
import {
  figure,
  goodsHold,
  shownCelsius,
  shownKelvin,
  tryAll,
  typedCelsius,
  typedKelvin,
  type ToolInput,
  type ToolRow,
  type ToolWork,
} from '../report.ts';
import { batteryDays } from './days.ts';

interface Trial {
  readonly name: string;
  readonly set: SettingValues;
  /** Share of new that the insulation has. */
  readonly insulation: number;
}

/** A 12 V fridge: amp hours a day and how long the battery lasts, by set point, differential, rest time and insulation. */
export const batteryReport: ToolWork = (input, progress) => {
  const { unit, values, facts, display } = input;
  const c = (value: number) => shownCelsius(value, display);
  const battery = {
    ampHours: facts.batteryAmpHours,
    usable: facts.batteryUsable,
    chargePerDay: facts.chargePerDay,
  };
  const run = ({ set, insulation }: Trial) => {
    const scenario = unitScenario(unit, { ...values, ...set });
    if (typeof scenario === 'string') return scenario;
    const choice = { ...scenario.choice, insulationFactor: insulation };
    return { storage: scenario.storage, figures: simulate({ ...scenario, choice }, { stride: 5 })!.figures };
  };
  const list = trialsOf(input);
  const done = tryAll(list, run, progress);
  if (done === null || typeof done === 'string') return done;
  const rows = done
    .map((d, i) => ({ ...list[i]!, ...d }))
    .map((t) => ({
      ...t,
      ampHours: energyOf(unit, t.figures),
      bad: !goodsHold(t.figures.product, t.storage),
    }));
  const now = rows[0]!;
  const sound = rows.filter(
    (r) => !r.bad && r.figures.startsPerHour <= MAX_STARTS_PER_HOUR && r.insulation === now.insulation,
  );
  const best = sound.toSorted((a, b) => a.ampHours - b.ampHours)[0];
  const days = (ah: number) => {
    const n = batteryDays(battery, ah);
    return n === Infinity ? 'for ever: the charge covers it' : figure(n, 'days');
  };
  return {
    answer: `In the unit: ${figure(now.ampHours, 'Ah a day')}; ${figure(battery.ampHours, 'Ah', 0)} of which ${figure(battery.usable, '%', 0)} may be used last ${days(now.ampHours)}.`,
    words: [
      `Compressor runs ${figure(now.figures.dutyPercent, '%', 0)} of the time with ${figure(now.figures.startsPerHour, 'starts an hour')}; product ${c(now.figures.product.min)} to ${c(now.figures.product.max)}.`,
      'A day of an invented box of this kind at the ambient of the survey; what the fridge itself draws decides. Measure a day with a clamp and put the relation right in “Insulation”.',
    ],
    tables: [
      {
        id: 'battery',
        title: 'What each change costs or saves',
        heads: ['Change', 'Ah a day', 'Battery lasts', 'Starts an hour', 'Product'],
        rows: rows.map((r, i): ToolRow => ({
          id: String(i),
          cells: [
            r.name,
            figure(r.ampHours, ''),
            days(r.ampHours),
            figure(r.figures.startsPerHour, ''),
            `${c(r.figures.product.min)} to ${c(r.figures.product.max)}${r.bad ? ', outside' : ''}`,
          ],
          best: r === best && i > 0,
          off: r.bad,
          ...(Object.keys(r.set).length > 0
            ? {
                values: r.set,
                why: `${figure(r.ampHours, 'Ah a day')} instead of ${figure(now.ampHours, '')} in a simulated day`,
              }
            : {}),
        })),
      },
    ],
    caution:
      'A battery gives hundreds of amps into a slipped spanner: fuse at the battery, disconnect the negative first, no sparks where it gases.',
  };
};

/** A set point, and the user's range moved where it would lie outside. */
function setpointAt(values: SettingValues, celsius: number, display: ToolInput['display']): SettingValues {
  const point = typedCelsius(celsius, display);
  const [least, most] = [values['regulation.setpointMin'], values['regulation.setpointMax']];
  return {
    'regulation.setpoint': point,
    ...(isQuantity(most) && baseValue(point) > baseValue(most) ? { 'regulation.setpointMax': point } : {}),
    ...(isQuantity(least) && baseValue(point) < baseValue(least) ? { 'regulation.setpointMin': point } : {}),
  };
}

function trialsOf({ values, facts, display }: ToolInput): readonly Trial[] {
  const insulation = facts.fridgeInsulation;
  const setpoint = values['regulation.setpoint'];
  const at = isQuantity(setpoint) ? baseValue(setpoint) : 4;
  const c = (value: number) => shownCelsius(value, display);
  const k = (value: number) => shownKelvin(value, display);
  const rest = (minutes: number): Trial => ({
    name: `Minimum off time of ${minutes} min`,
    set: { 'compressor.minOffTime': quantity(minutes, 'min') },
    insulation,
  });
  return [
    { name: 'In the unit', set: {}, insulation },
    ...[-2, 1, 2].map((by) => ({
      name: `Set point ${c(at + by)}`,
      set: setpointAt(values, at + by, display),
      insulation,
    })),
    ...[1, 2, 4, 6].map((wide) => ({
      name: `Differential ${k(wide)}`,
      set: { 'regulation.differential': typedKelvin(wide, display) },
      insulation,
    })),
    ...[2, 5, 10].map(rest),
    { name: 'Insulation half as good again', set: {}, insulation: insulation * 1.5 },
    { name: 'Insulation wet, two thirds', set: {}, insulation: insulation / 1.5 },
  ];
}
