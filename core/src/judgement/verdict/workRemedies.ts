import type { Sentence } from '../../foundation/sentences/index.ts';
import { isFreezer, type Application } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { BoxChoice } from '../../machines/box/index.ts';
import { plan, valuesOf } from '../plan/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDay } from './unitDay.ts';

/** Work on a unit that may mend what no value does. */
export type WorkId =
  | 'stripCurtain'
  | 'doorCloser'
  | 'electricDefrost'
  | 'largerCoil'
  | 'cleanerCondenser'
  | 'largerChiller'
  | 'tankCover';

/** Work to be tried: its words, and the unit's day with it done; null where it does not fit the unit. */
export interface Work {
  readonly work: WorkId;
  readonly words: Sentence;
  readonly done: (
    unit: UnitDescription,
    values: SettingValues,
    day: UnitDay,
  ) => { readonly day: UnitDay; readonly values: SettingValues } | null;
}

/** A curtain in fair condition keeps four fifths of the air back (ASHRAE Handbook, Refrigeration: 0.8 to 0.9; from memory). */
const CURTAIN_LETS_THROUGH = 0.2;
/** Half as much coil again, from the next size up. */
const NEXT_COIL = 1.5;
const NEXT_CHILLER = 1.5;
/** A lid and insulation halve what the room brings in (common practice). */
const COVERED = 0.5;

const rooms: readonly Application[] = ['walkInCooler', 'walkInFreezer', 'cellar', 'transportUnit'];

const withChoice = (day: UnitDay, change: Partial<BoxChoice>): UnitDay | null =>
  day.machine === 'box' || day.machine === 'engine'
    ? { ...day, scenario: { ...day.scenario, choice: { ...day.scenario.choice, ...change } } }
    : null;
const same = (values: SettingValues, day: UnitDay | null) => day && { day, values };

/** Work in the order it is offered: what costs least first. */
export const works: readonly Work[] = [
  {
    work: 'doorCloser',
    words: 'A door closer, and the door opened less: with the door used one step less the finding is gone.',
    done: (unit, values, day) => {
      const less = ({ busy: 'normal', normal: 'seldom', seldom: null } as const)[unit.doorUse ?? 'normal'];
      if (less === null || day.machine === 'tank' || day.machine === 'condenser') return null;
      return { values, day: { ...day, scenario: { ...day.scenario, doorUse: less } } };
    },
  },
  {
    work: 'stripCurtain',
    words: 'A strip curtain in the doorway: with four fifths of the air kept back the finding is gone.',
    done: (unit, values, day) =>
      rooms.includes(unit.application)
        ? same(values, withChoice(day, { doorFactor: CURTAIN_LETS_THROUGH }))
        : null,
  },
  {
    work: 'cleanerCondenser',
    words: 'Clean the condenser: with a clean one the finding is gone.',
    done: (unit, values, day) =>
      day.machine === 'condenser' && (unit.facts?.condenserDirty ?? 0) > 0
        ? { values, day: { ...day, run: { ...day.run, plant: { ...day.run.plant, clean: 1 } } } }
        : null,
  },
  {
    work: 'electricDefrost',
    words: 'Heaters in the coil: with electric defrost, planned for this unit, the finding is gone.',
    done: (unit, values, day) => {
      if (unit.defrostMethod === 'electric' || isFreezer(unit.application)) return null;
      const heated = withChoice(day, { clearing: 'electric' });
      if (!heated || heated.machine === 'condenser') return null;
      const planned = valuesOf(plan({ ...unit, defrostMethod: 'electric' }));
      const defrost = Object.fromEntries(
        Object.entries(planned).filter(([id]) => id.startsWith('defrost.') || id === 'fans.whileDefrost'),
      );
      return { values: { ...values, ...defrost }, day: heated };
    },
  },
  {
    work: 'largerCoil',
    words: 'A larger coil: with half as much surface again the finding is gone.',
    done: (_, values, day) => same(values, withChoice(day, { coilFactor: NEXT_COIL })),
  },
  {
    work: 'tankCover',
    words: 'A lid and insulation: with half the heat coming in through the walls the finding is gone.',
    done: (_, values, day) =>
      day.machine === 'tank'
        ? {
            values,
            day: {
              ...day,
              scenario: {
                ...day.scenario,
                tank: { ...day.scenario.tank!, conductance: day.scenario.tank!.conductance * COVERED },
              },
            },
          }
        : null,
  },
  {
    work: 'largerChiller',
    words: 'A larger chiller: with half as much cooling again the finding is gone.',
    done: (_, values, day) => {
      if (day.machine !== 'tank') return null;
      const tank = day.scenario.tank!;
      const larger = { ...tank, chiller: tank.chiller * NEXT_CHILLER };
      return { values, day: { ...day, scenario: { ...day.scenario, tank: larger } } };
    },
  },
];
