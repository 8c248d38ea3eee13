import type { CodeValue, Parameter } from '../../../controllers/definitions/index.ts';
import { atEase, panelAtRest, type Machine } from '../../../controllers/panel/index.ts';
import type { Chance, Drill, DrillValue } from '../drill.ts';
import { governs, valuesToSet } from './values.ts';

/** How a panel is locked: by a deed that shuts the menus, or by a code of its own that a stranger left on. */
export function lockOf(machine: Machine): 'deed' | Parameter | null {
  const deeds = machine.panel.deeds?.map((d) => d.does) ?? [];
  if (deeds.includes('lock') && deeds.includes('unlock')) return 'deed';
  const held = new Set([...machine.codes.values()].flat());
  return (
    machine.definition.parameters.find((p) => p.setting === 'access.keypadLock' && held.has(p.code)) ?? null
  );
}

/**
 * A control somebody changed and locked: open it, set two values back, and leave it as it was found. Where a deed locks the keys it must be locked
 * again at the end; where a code does, it must be off again.
 */
export function restoreLockedDrill(machine: Machine, chance: Chance): Drill {
  const lock = lockOf(machine);
  if (lock === null) throw new Error('this panel cannot be locked');
  const ends = panelAtRest(machine).memory;
  const own = lock === 'deed' ? null : lock.code;
  const changed = valuesToSet(machine, ends, chance, 2, (p) => p.code !== own && !governs(machine, p));
  const begins = new Map<string, CodeValue>(ends);
  for (const { code, value } of changed) begins.set(code, value);
  const goal: DrillValue[] = changed.map(({ code }) => ({ code, value: ends.get(code)! }));
  if (lock !== 'deed') {
    const { on, off } = lockValues(lock);
    begins.set(lock.code, on);
    return {
      kind: 'restoreLocked',
      begins,
      condition: atEase,
      goal: [...goal, { code: lock.code, value: off }],
      deeds: [],
      ends: new Map(ends).set(lock.code, off),
      endsLocked: null,
    };
  }
  return {
    kind: 'restoreLocked',
    begins,
    condition: { ...atEase, locked: true },
    goal,
    deeds: [],
    ends,
    endsLocked: true,
  };
}

function lockValues({ encoding }: Parameter): { readonly on: CodeValue; readonly off: CodeValue } {
  const options = encoding.type === 'choice' ? encoding.options : [];
  const of = (means: boolean) => options.find((o) => o.means === means)!.value;
  return { on: of(true), off: of(false) };
}
