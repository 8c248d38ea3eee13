import type { Machine } from '../../controllers/panel/index.ts';
import { drillKinds, type Chance, type Drill, type DrillKind } from './drill.ts';
import { clearAlarmsDrill, hasAlarmPages } from './drills/clearAlarms.ts';
import { deedsDrill } from './drills/doDeeds.ts';
import { findChangedDrill } from './drills/findChanged.ts';
import { lockOf, restoreLockedDrill } from './drills/restoreLocked.ts';
import { setValuesDrill } from './drills/setValues.ts';

const makers: Readonly<Record<DrillKind, (machine: Machine, chance: Chance) => Drill>> = {
  setValues: setValuesDrill,
  findChanged: findChangedDrill,
  restoreLocked: restoreLockedDrill,
  clearAlarms: clearAlarmsDrill,
  deeds: deedsDrill,
};

/** The drills that a panel allows: a control without a lock cannot be found locked. */
export function drillsOf(machine: Machine): readonly DrillKind[] {
  const deeds = (machine.panel.deeds ?? []).filter((d) => !/Alarm/.test(d.does));
  return drillKinds.filter((kind) =>
    kind === 'restoreLocked'
      ? lockOf(machine) !== null
      : kind === 'clearAlarms'
        ? hasAlarmPages(machine)
        : kind === 'deeds'
          ? deeds.length >= 2
          : true,
  );
}

/** An exercise of a kind, by chance handed in. */
export function makeDrill(machine: Machine, kind: DrillKind, chance: Chance): Drill {
  return makers[kind](machine, chance);
}
