import type { CodeValue } from '../definitions/index.ts';
import { valueOfEdit } from './editing.ts';
import { menuOf, parameterAt, type Machine, type PanelState } from './machine.ts';

/** The value being turned where moving on takes it: it counts as keyed though memory does not hold it yet. Null in every other state. */
export function turnedValue(machine: Machine, state: PanelState): CodeValue | null {
  if (state.phase !== 'edit' || menuOf(machine, state).edit?.take !== 'move') return null;
  const parameter = parameterAt(machine, state);
  return parameter && state.edit ? valueOfEdit(machine, state, parameter, state.edit) : null;
}
