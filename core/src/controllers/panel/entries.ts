import { isVisible } from '../definitions/index.ts';
import { menuOf, type Entry, type Machine, type PanelState } from './machine.ts';
import { standingValues } from './values.ts';

/** The visible entries of the open menu's list, or of the folder that is open in it. */
export function entriesOf(machine: Machine, state: PanelState, folder = state.folder): readonly Entry[] {
  const menu = menuOf(machine, state);
  const values = standingValues(state);
  const entries: Entry[] = [];
  const folders = new Set<string>();
  for (const code of machine.codes.get(menu.id)!) {
    const parameter = machine.parameters.get(code);
    if (!parameter || !isVisible(machine.definition, parameter, values)) continue;
    const path = menu.layout === 'path' ? (parameter.path ?? []) : [];
    if (menu.layout === 'path' && !folder.every((name, i) => path[i] === name)) continue;
    if (menu.layout !== 'path' || path.length === folder.length) entries.push({ code });
    else {
      const name = path[folder.length]!;
      if (!folders.has(name)) entries.push({ folder: [...folder, name] });
      folders.add(name);
    }
  }
  return entries;
}

export function sameEntry(a: Entry | null, b: Entry | null): boolean {
  if (!a || !b) return a === b;
  if ('code' in a) return 'code' in b && a.code === b.code;
  return 'folder' in b && a.folder.length === b.folder.length && a.folder.every((n, i) => n === b.folder[i]);
}

/** Where the cursor is among the visible entries; −1 where its entry has gone. */
export function positionOf(machine: Machine, state: PanelState): number {
  return entriesOf(machine, state).findIndex((entry) => sameEntry(entry, state.at));
}
