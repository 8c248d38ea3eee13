import { isCodeStep, printCode, type CodeValue, type Parameter } from '../definitions/index.ts';
import { scaleNow, valueOfEdit } from './editing.ts';
import { menuOf, parameterAt, type Machine, type PanelState } from './machine.ts';
import { standingValues } from './values.ts';

/** What stands on the display. At rest, while sensing and at the question the text is free: it differs from unit to unit. */
export function shows(machine: Machine, state: PanelState): string {
  switch (state.phase) {
    case 'off':
      return '';
    case 'rest':
      return state.message ?? 'reading';
    case 'entering':
      return enteredCode(machine, state) ?? 'reading';
    case 'busy':
      return 'busy';
    case 'ask':
      return 'save?';
    case 'edit': {
      const parameter = parameterAt(machine, state)!;
      return printValue(machine, state, parameter, valueOfEdit(machine, state, parameter, state.edit!));
    }
    case 'list':
      return entryText(machine, state);
  }
}

/** A value as this display prints it: a number with the decimals of its resolution, an option's value, a preset's id. */
export function printValue(
  machine: Machine,
  state: PanelState,
  parameter: Parameter,
  value: CodeValue,
): string {
  const scale = scaleNow(machine, state, parameter);
  return scale ? printCode(Number(value) + 0, scale.resolution) : String(value);
}

function entryText(machine: Machine, state: PanelState): string {
  const parameter = parameterAt(machine, state);
  if (!parameter) return state.at && 'folder' in state.at ? state.at.folder.at(-1)! : '';
  if (menuOf(machine, state).edit?.starts === 'atOnce' && parameter.encoding.type !== 'reading')
    return printValue(machine, state, parameter, standingValues(state).get(parameter.code)!);
  return machine.panel.display?.text ? parameter.name : parameter.code;
}

function enteredCode(machine: Machine, state: PanelState): string | null {
  for (const follower of state.following) {
    const step = follower.kind === 'menu' ? machine.panel.menus[follower.index]!.enter[follower.step] : null;
    if (!step || !isCodeStep(step) || !follower.code) continue;
    return step.by === 'count' ? String(follower.code.digits[0]) : follower.code.digits.join('');
  }
  return null;
}
