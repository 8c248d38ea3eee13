import { atEase, panelAtRest, planKeys, type Machine } from '../../../controllers/panel/index.ts';
import type { Chance, Drill } from '../drill.ts';
import { valuesToSet } from './values.ts';

/** Set these values: as many codes as `count`, each to a value that differs from the present one and can be keyed in. */
export function setValuesDrill(machine: Machine, chance: Chance, count = 5): Drill {
  const begins = panelAtRest(machine).memory;
  const goal = valuesToSet(machine, begins, chance, count);
  return {
    kind: 'setValues',
    begins,
    condition: atEase,
    goal,
    deeds: [],
    ends: planKeys(machine, begins, goal).stored,
    endsLocked: null,
  };
}
