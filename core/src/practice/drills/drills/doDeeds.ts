import {
  afterDeed,
  atEase,
  deedApplies,
  panelAtRest,
  type Machine,
} from '../../../controllers/panel/index.ts';
import type { Chance, Drill } from '../drill.ts';
import { shuffled } from './values.ts';

/** Deeds that make an exercise without an alarm standing. */
const apart = new Set(['showAlarms', 'clearAlarm']);

/** Three things to be done from the standard display, in order; each is possible where it stands. */
export function deedsDrill(machine: Machine, chance: Chance, count = 3): Drill {
  const known = (machine.panel.deeds ?? []).map((d) => d.does).filter((does) => !apart.has(does));
  let condition = atEase;
  const deeds: string[] = [];
  while (deeds.length < count) {
    // A lock shuts what would come after it, so it comes last or is opened again.
    const next = shuffled(known, chance).find(
      (does) =>
        deedApplies(does, condition) &&
        does !== deeds.at(-1) &&
        (does !== 'lock' || deeds.length === count - 1),
    );
    if (next === undefined) break;
    deeds.push(next);
    condition = afterDeed(next, condition);
  }
  const { memory } = panelAtRest(machine);
  return {
    kind: 'deeds',
    begins: memory,
    condition: atEase,
    goal: [],
    deeds,
    ends: memory,
    endsLocked: null,
  };
}
