import { sameCodeValue, scaleOf, displayOf, type CodeValue } from '../../controllers/definitions/index.ts';
import {
  act,
  CannotPlan,
  machineOf,
  panelAtRest,
  setsDisplay,
  strokesFor,
  strokeSentence,
  WrongAct,
  type Machine,
  type PlanStep,
} from '../../controllers/panel/index.ts';
import type { Doubt } from './doubt.ts';

/** Whether a change needs saving, asked of the panel: a code turned and taken, the supply cut, the code read again. */
export interface SavingPlan {
  readonly code: string;
  readonly from: CodeValue;
  readonly to: CodeValue;
  /** The strokes up to where the value is taken, each a sentence. */
  readonly strokes: readonly string[];
  /** What the code shows after the cut under each meaning, in the order of the doubt's. */
  readonly shows: readonly CodeValue[];
}

/** So many codes are tried until one tells. */
const MOST_CODES = 20;

/** The strokes of one code that tell whether a value stands before the menu is left; null where no code does, or the panel is not stated. */
export function askSaving(doubt: Doubt): SavingPlan | null {
  const machines = doubt.meanings.map(({ definition }) => machineOf(definition));
  const [written] = machines;
  if (!written || machines.some((one) => one === null)) return null;
  const rest = panelAtRest(written).memory;
  const display = displayOf(written.definition, rest);
  for (const parameter of written.definition.parameters.slice(0, MOST_CODES)) {
    if (parameter.encoding.type !== 'number' || setsDisplay(parameter)) continue;
    const scale = scaleOf(parameter.encoding, display);
    const from = Number(rest.get(parameter.code) ?? scale.default);
    const to = from + scale.resolution <= scale.max ? from + scale.resolution : from - scale.resolution;
    const steps = strokesTo(written, { code: parameter.code, value: to });
    if (!steps) continue;
    const shows = machines.map((machine) => afterCut(machine!, steps, parameter.code));
    if (shows.some((value) => value === null) || sameCodeValue(shows[0]!, shows[1]!)) continue;
    return {
      code: parameter.code,
      from,
      to,
      strokes: steps.map((step) => strokeSentence(written.panel, step)),
      shows: shows as CodeValue[],
    };
  }
  return null;
}

function strokesTo(machine: Machine, wish: { code: string; value: CodeValue }): readonly PlanStep[] | null {
  try {
    return strokesFor(machine, panelAtRest(machine).memory, wish, null).steps;
  } catch (error) {
    if (error instanceof CannotPlan) return null;
    throw error;
  }
}

/** What a code stands at once the strokes were done and the supply was cut and came back; null where the strokes do not fit this panel. */
function afterCut(machine: Machine, steps: readonly PlanStep[], code: string): CodeValue | null {
  try {
    let state = panelAtRest(machine);
    for (const step of steps) state = act(machine, state, step).state;
    state = act(machine, state, { action: 'power', to: 'off' }).state;
    state = act(machine, state, { action: 'power', to: 'on' }).state;
    return state.memory.get(code) ?? null;
  } catch (error) {
    if (error instanceof WrongAct) return null;
    throw error;
  }
}
