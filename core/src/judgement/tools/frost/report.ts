import { baseValue, isQuantity, quantity } from '../../../foundation/quantities/index.ts';
import { simulate } from '../../../machines/simulation/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { unitScenario } from '../../tuning/index.ts';
import {
  figure,
  goodsHold,
  shownCelsius,
  shownKelvin,
  tryAll,
  typedKelvin,
  type ToolInput,
  type ToolRow,
  type ToolWork,
} from '../report.ts';
import { bestPlace } from './bestPlace.ts';
import { frostChange, frostChangeWords } from './compare.ts';
import { movingSteps } from './moving.ts';

/** Rise of the air-to-coil difference over a clean coil at which a defrost is called, K: within what is usual, 3 to 12 dF. */
const triedRises = [3, 4, 5, 6];
const triedIntervals = [4, 6, 8, 12];
/** With demand a defrost comes at the latest after so long, h. */
const LATEST = 24;

interface Trial {
  readonly name: string;
  readonly set: SettingValues;
  /** What the control really compares with: a sensor where less frost is sees less of the rise. */
  readonly sensed: SettingValues;
}

/** Defrost on demand: where the sensor belongs, how it gets there, and what it saves against a fixed interval on the same doors and humidity. */
export const frostReport: ToolWork = (input, progress) => {
  const { facts, display, values } = input;
  const sensor = { row: facts.sensorRow, column: facts.sensorColumn };
  const [before, last] = [input.frost.at(-2), input.frost.at(-1)];
  const found = bestPlace(last?.notes ?? [], sensor);
  const list = trialsOf(input, typeof found === 'string' ? null : found.sensorShare);
  const done = tryAll(list, (t) => tryOne(input, t), progress);
  if (done === null || typeof done === 'string') return done;
  const rows = done.map((d, i) => ({ ...list[i]!, ...d }));
  const clear = rows.filter((r) => r.iced <= r.noticed && !r.warm && r.takes);
  const best = clear.toSorted((a, b) => a.kWh - b.kWh)[0];
  const set = values['defrost.demandTemperatureDifference'];
  return {
    answer:
      typeof found === 'string'
        ? found
        : found.sensorShare !== null && found.sensorShare > 0.95
          ? `The sensor is where the frost is heaviest: ${cellWords(found.cell)}.`
          : `Move the sensor to ${cellWords(found.cell)}: there the frost is heaviest.${found.sensorShare === null ? '' : ` Where it is now it sees ${figure(found.sensorShare * 100, '%', 0)} of it, so the coil is fuller than the setting says when a defrost begins.`}`,
    words: [
      ...(before && last ? [frostChangeWords(frostChange(before.notes, last.notes))] : []),
      ...(typeof found === 'string' || found.pattern !== 'part'
        ? []
        : [
            'A good part of the coil has no frost at all: look at charge, expansion valve and distribution first. A sensor cannot mend that.',
          ]),
      ...(input.unit.probes.includes('secondCoil')
        ? [
            'Of two coil sensors the one that calls for the defrost moves to the heaviest frost; the other stays where ice melts last, since the colder one ends the defrost.',
          ]
        : []),
      ...(typeof found !== 'string' && found.pattern === 'even'
        ? ['The frost is even: any place in the middle does.']
        : []),
      isQuantity(set)
        ? `Set now: a defrost when the difference of air and coil has risen by ${shownKelvin(baseValue(set), display)}. Read it back from the display after it was keyed in.`
        : 'No difference for demand is set yet.',
      ...(typeof found === 'string'
        ? []
        : movingSteps(sensor, found.cell).map((step, i) => `${i + 1}. ${step}`)),
    ],
    tables: [
      {
        id: 'demand',
        title: 'Demand against interval, three days on the same doors and humidity',
        heads: ['Defrost', 'A day', 'Ice left', 'Product at most', 'Energy'],
        rows: rows.map((r): ToolRow => ({
          id: r.name,
          cells: [
            r.name,
            figure(r.perDay, ''),
            r.iced <= r.noticed ? 'none' : figure(r.iced * 1000, 'g', 0),
            shownCelsius(r.most, display),
            figure(r.kWh, 'kWh a day'),
          ],
          best: r === best,
          off: r.iced > r.noticed || r.warm || !r.takes,
          ...(r.takes
            ? {
                values: r.set,
                why: `three simulated days: ${figure(r.perDay, 'defrosts a day')}, ${figure(r.kWh, 'kWh a day')}, no ice left`,
              }
            : {}),
        })),
      },
    ],
    caution:
      'Blade, heaters and fins: isolate, lock out and prove dead; heaters stay hot. In a freezer room nobody works alone without having tried the inside release.',
  };
};

const cellWords = ({ row, column }: { row: number; column: number }) =>
  `row ${row} from the top, column ${column} from the left`;

function trialsOf(
  { facts, display }: ToolInput,
  share: number | null,
): readonly (Trial & { readonly takes: boolean })[] {
  const demand = (rise: number, seen: number): SettingValues => ({
    'defrost.initiation': 'demand',
    'defrost.demandTemperatureDifference': typedKelvin(rise / seen, display),
    'defrost.interval': quantity(LATEST, 'h'),
  });
  return [
    ...triedIntervals.map((hours) => {
      const set: SettingValues = {
        'defrost.initiation': 'interval',
        'defrost.interval': quantity(hours, 'h'),
      };
      return { name: `every ${hours} h`, set, sensed: set, takes: true };
    }),
    ...triedRises.map((rise) => ({
      name: `demand, ${shownKelvin(rise, display)}`,
      set: demand(rise, 1),
      sensed: demand(rise, 1),
      takes: true,
    })),
    ...(share !== null && share > 0 && share <= 0.95
      ? triedRises.slice(1, 3).map((rise) => ({
          name: `demand, ${shownKelvin(rise, display)}, sensor left at row ${facts.sensorRow}`,
          set: demand(rise, 1),
          sensed: demand(rise, share),
          takes: false,
        }))
      : []),
  ];
}

function tryOne({ unit, values }: ToolInput, trial: Trial & { readonly takes: boolean }) {
  const scenario = unitScenario(unit, { ...values, ...trial.sensed }, { hours: 72 });
  if (typeof scenario === 'string') return scenario;
  const { figures, events } = simulate(scenario, { stride: 5 })!;
  const begun = events.filter((e) => e.kind === 'phase' && e.value === 'defrost').length;
  return {
    perDay: begun / 3,
    // What a defrost leaves counts; frost that stands at the end only says where in its cycle the run ended.
    iced: figures.iceLeftAfterDefrost ?? figures.iceGrown,
    noticed: figures.iceNoticed,
    most: figures.product.max,
    warm: !goodsHold(figures.product, scenario.storage),
    kWh: figures.kWhPerDay,
  };
}
