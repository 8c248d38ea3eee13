import { parameterOf, type CodeValue, type ControllerDefinition } from '../definitions/index.ts';
import { act, machineOf, panelAtRest, WrongAct } from '../panel/index.ts';
import type { Demonstration } from './demonstration.ts';
import { shownAlike } from './shownText.ts';

/** Where a panel does something else than what was shown. */
export interface Difference {
  /** Step of the demonstration, from 0; as many as there are steps: the value at the end. */
  readonly step: number;
  readonly shows: string;
  readonly expected: string;
}

/**
 * Plays a demonstration on the panel of a definition. Null where every display is the one that was shown, the panel is at its normal display at the end and the value is stored.
 *
 * @param present the values at the unit before, as far as they were seen
 */
export function differenceOf(
  definition: ControllerDefinition,
  demonstration: Demonstration,
  present: ReadonlyMap<string, CodeValue>,
): Difference | null {
  const machine = machineOf(definition);
  if (!machine) return { step: 0, shows: '', expected: 'a panel' };
  let state = panelAtRest(machine, present);
  for (const [step, { act: what, shows: expected }] of demonstration.steps.entries()) {
    try {
      const done = act(machine, state, what);
      state = done.state;
      const isRest = state.phase === 'rest' || (state.phase === 'entering' && done.shows === 'reading');
      const same =
        expected === null ? isRest || state.phase === 'off' : !isRest && shownAlike(done.shows, expected);
      if (!same)
        return {
          step,
          shows: isRest ? 'the normal display' : done.shows,
          expected: expected ?? 'the normal display',
        };
    } catch (error) {
      if (error instanceof WrongAct)
        return { step, shows: error.message, expected: expected ?? 'the normal display' };
      throw error;
    }
  }
  const last = demonstration.steps.length;
  const stored = state.memory.get(demonstration.code);
  if (state.phase !== 'rest')
    return { step: last, shows: 'a menu that is still open', expected: 'the normal display' };
  const parameter = parameterOf(definition, demonstration.code);
  return parameter && stored !== undefined && shownAlike(String(stored), demonstration.value)
    ? null
    : { step: last, shows: `${demonstration.code} at ${stored ?? 'nothing'}`, expected: demonstration.value };
}
