import type { CodeValue } from '../definitions/index.ts';
import { menuOf, nothingOpen, type Machine, type PanelState } from './machine.ts';
import { presetValues, setsDisplay, store } from './values.ts';

/** Out of every menu, with what is in memory; what is in hand is dropped. */
export function toRest(state: PanelState): PanelState {
  return { ...state, ...nothingOpen };
}

/** Takes a value: to memory at once, or in hand until a save, as the menu stores. */
export function keep(machine: Machine, state: PanelState, code: string, value: CodeValue): PanelState {
  if (menuOf(machine, state).stores !== 'leaving')
    return { ...state, memory: store(machine.definition, state.memory, code, value) };
  const hand = new Map(state.hand).set(code, value);
  if (machine.parameters.get(code)?.encoding.type === 'preset')
    for (const [own, preset] of presetValues(machine.definition, value)) hand.set(own, preset);
  return { ...state, hand };
}

/** Writes everything in hand and goes to rest. What sets the display goes last: the rest was typed on the display as it stood. */
export function save(machine: Machine, state: PanelState): PanelState {
  const values = [...state.hand].sort(([a], [b]) => order(machine, a) - order(machine, b));
  const memory = values.reduce(
    (standing, [code, value]) =>
      machine.parameters.get(code)?.encoding.type === 'preset'
        ? new Map(standing).set(code, value)
        : store(machine.definition, standing, code, value),
    state.memory,
  );
  return toRest({ ...state, memory });
}

function order(machine: Machine, code: string): number {
  const parameter = machine.parameters.get(code);
  return parameter && setsDisplay(parameter) ? 1 : 0;
}
