import { isVisible } from '../../../controllers/definitions/index.ts';
import { atEase, panelAtRest, type Machine } from '../../../controllers/panel/index.ts';
import type { Chance, Drill } from '../drill.ts';
import { canBeKeyed, candidates, governs, otherValue, shuffled } from './values.ts';

/** Somebody changed one value: find it by the sheet, and set it back. */
export function findChangedDrill(machine: Machine, chance: Chance): Drill {
  const ends = panelAtRest(machine).memory;
  for (const parameter of shuffled(candidates(machine, ends), chance)) {
    const value = otherValue(machine, ends, parameter, chance);
    if (value === null || governs(machine, parameter)) continue;
    const begins = new Map(ends).set(parameter.code, value);
    if (!canBeKeyed(machine, begins, [{ code: parameter.code, value: ends.get(parameter.code)! }])) continue;
    const goal = machine.definition.parameters.flatMap((p) =>
      ends.has(p.code) && isVisible(machine.definition, p, ends)
        ? [{ code: p.code, value: ends.get(p.code)! }]
        : [],
    );
    return { kind: 'findChanged', begins, condition: atEase, goal, deeds: [], ends, endsLocked: null };
  }
  throw new Error('this panel has no value that can be changed and set back');
}
