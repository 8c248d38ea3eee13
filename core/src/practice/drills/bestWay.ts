import {
  CannotPlan,
  planDeed,
  planKeys,
  strokesFor,
  strokesOut,
  turnedValue,
  type Machine,
  type PanelState,
  type PlanStep,
} from '../../controllers/panel/index.ts';
import { sameCodeValue, type CodeValues } from '../../controllers/definitions/index.ts';
import type { Drill, DrillValue } from './drill.ts';
import { deedsDone, type Notebook } from './mark.ts';

/** All strokes of a drill done as short as can be, from its beginning. */
export function bestWay(machine: Machine, drill: Drill): readonly PlanStep[] {
  const changes = toSet(drill);
  const keys = changes.length > 0 ? planKeys(machine, drill.begins, changes).steps : [];
  const locked = drill.condition.locked;
  return [
    ...(locked ? planDeed(machine, drill.begins, 'unlock') : []),
    ...keys,
    ...(locked && drill.endsLocked ? planDeed(machine, drill.ends, 'lock') : []),
    ...(drill.kind === 'clearAlarms' ? clearing(machine, drill) : []),
    ...drill.deeds.flatMap((does) => planDeed(machine, drill.ends, does)),
  ];
}

/** Presses, holds and waits of a list of strokes. */
export function countStrokes(steps: readonly PlanStep[]): number {
  return steps.reduce((sum, step) => sum + (step.times ?? 1), 0);
}

/** What is left to do next: strokes from where the display stands, or a sentence where no stroke helps. */
export type Hint = { readonly steps: readonly PlanStep[] } | { readonly say: string };

/** The next thing that is not right yet, with the strokes to it. */
export function nextHint(machine: Machine, drill: Drill, state: PanelState, notebook: Notebook): Hint {
  const turned = turnedValue(machine, state);
  const at =
    (state.phase === 'list' || turned !== null) && state.at && 'code' in state.at ? state.at.code : null;
  const standing = new Map([...state.memory, ...state.hand]);
  if (turned !== null && at !== null) standing.set(at, turned);
  const unfinished = turned !== null && toSet(drill, standing).some(({ code }) => code === at);
  if ((state.phase !== 'rest' && at === null) || unfinished)
    return { say: 'Take or drop the value on the display first; then ask again.' };
  if (state.condition.locked && drill.condition.locked && toSet(drill, standing).length > 0)
    return { steps: planDeed(machine, standing, 'unlock', { condition: state.condition }) };
  const next = nextValue(machine, drill, standing, at);
  if (next) return { steps: next };
  if (at !== null) return { steps: strokesOut(machine, standing, at) };
  return atTheFront(machine, drill, state, notebook);
}

/** Strokes to the next value that is not right: of those that other codes can hide first, as long as they show. */
function nextValue(
  machine: Machine,
  drill: Drill,
  standing: CodeValues,
  at: string | null,
): readonly PlanStep[] | null {
  const governed = (code: string) => machine.parameters.get(code)?.visibleWhen !== undefined;
  const open = toSet(drill, standing);
  const order = [...open.filter(({ code }) => governed(code)), ...open.filter(({ code }) => !governed(code))];
  for (const value of order) {
    try {
      return strokesFor(machine, standing, value, at).steps;
    } catch (error) {
      if (!(error instanceof CannotPlan)) throw error;
    }
  }
  return null;
}

function atTheFront(machine: Machine, drill: Drill, state: PanelState, { written }: Notebook): Hint {
  const { condition } = state;
  if (drill.endsLocked && !condition.locked)
    return { steps: planDeed(machine, state.memory, 'lock', { condition }) };
  if (drill.kind === 'clearAlarms' && condition.alarms.length > 0) {
    const unwritten = condition.alarms.filter((code) => !written.includes(code));
    if (unwritten.length === 0)
      return {
        steps: planDeed(machine, state.memory, 'clearAlarm', { condition: { ...condition, page: null } }),
      };
    return condition.page !== null && unwritten.includes(condition.page)
      ? { say: `Write down what shows: ${condition.page}.` }
      : { steps: planDeed(machine, state.memory, 'showAlarms', { condition }).slice(0, 1) };
  }
  const deed = drill.deeds[deedsDone(drill, state).done];
  if (deed !== undefined) return { steps: planDeed(machine, state.memory, deed, { condition }) };
  return { say: 'Everything is right: leave the menu if you have not, and finish.' };
}

/** What differs from the end, of the codes the drill asks for. */
function toSet(drill: Drill, standing: CodeValues = drill.begins): readonly DrillValue[] {
  return [...drill.ends]
    .filter(([code, value]) => !sameCodeValue(standing.get(code)!, value))
    .map(([code, value]) => ({ code, value }));
}

function clearing(machine: Machine, drill: Drill): readonly PlanStep[] {
  const { alarms } = drill.condition;
  const shown = planDeed(machine, drill.begins, 'showAlarms', { condition: drill.condition });
  return [
    ...shown,
    ...alarms.flatMap(() => planDeed(machine, drill.begins, 'clearAlarm', { condition: drill.condition })),
  ];
}
