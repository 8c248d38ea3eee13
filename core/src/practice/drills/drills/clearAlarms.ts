import { atEase, panelAtRest, type Machine } from '../../../controllers/panel/index.ts';
import type { Chance, Drill } from '../drill.ts';
import { shuffled } from './values.ts';

/** True for a panel whose alarms can be paged through and cleared. */
export function hasAlarmPages(machine: Machine): boolean {
  const deeds = machine.panel.deeds?.map((d) => d.does) ?? [];
  return (
    deeds.includes('showAlarms') &&
    deeds.includes('clearAlarm') &&
    (machine.definition.alarmCodes?.length ?? 0) >= 2
  );
}

/** Two or three alarms stand: write each down, then clear them. */
export function clearAlarmsDrill(machine: Machine, chance: Chance): Drill {
  const known = machine.definition.alarmCodes?.map((a) => a.code) ?? [];
  const alarms = shuffled(known, chance).slice(0, 2 + Math.floor(chance() * Math.min(2, known.length - 1)));
  const { memory } = panelAtRest(machine);
  return {
    kind: 'clearAlarms',
    begins: memory,
    condition: { ...atEase, alarms },
    goal: [],
    deeds: [],
    ends: memory,
    endsLocked: null,
  };
}
