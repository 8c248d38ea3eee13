import { sameCodeValue, type CodeValue } from '../../controllers/definitions/index.ts';
import { deedName, type Condition, type PanelState } from '../../controllers/panel/index.ts';
import type { Drill } from './drill.ts';

/** What somebody wrote down of alarms, and which were gone before they were written. */
export interface Notebook {
  readonly written: readonly string[];
  readonly lost: readonly string[];
}

/** A judgement by what is stored and how the control stands, not by the way there. */
export interface Mark {
  readonly right: readonly string[];
  readonly wrong: readonly {
    readonly code: string;
    readonly wanted: CodeValue;
    readonly stored: CodeValue | undefined;
  }[];
  /** What else is not as it should be, in sentences. */
  readonly faults: readonly string[];
  /** The panel was left: back on its standard display. */
  readonly atRest: boolean;
  readonly passed: boolean;
}

const nothing: Notebook = { written: [], lost: [] };

/** Marks a drill by what the panel holds, how it stands, and what was written down. */
export function markDrill(drill: Drill, state: PanelState, notebook: Notebook = nothing): Mark {
  const isRight = (code: string) => {
    const stored = state.memory.get(code);
    return stored !== undefined && sameCodeValue(stored, drill.ends.get(code)!);
  };
  const wrong = [...drill.ends.keys()]
    .filter((code) => !isRight(code))
    .map((code) => ({ code, wanted: drill.ends.get(code)!, stored: state.memory.get(code) }));
  const faults = [
    ...lockFaults(drill, state),
    ...alarmFaults(drill, state, notebook),
    ...deedFaults(drill, state),
  ];
  const atRest = state.phase === 'rest';
  return {
    right: drill.goal.map((g) => g.code).filter(isRight),
    wrong,
    faults,
    atRest,
    passed: wrong.length === 0 && faults.length === 0 && atRest,
  };
}

/** The notebook after an act: an alarm that is gone and was not written down is lost. */
export function afterClearing(before: Condition, after: Condition, notebook: Notebook): Notebook {
  const gone = before.alarms.filter(
    (code) => !after.alarms.includes(code) && !notebook.written.includes(code),
  );
  return gone.length === 0 ? notebook : { ...notebook, lost: [...notebook.lost, ...gone] };
}

function lockFaults(drill: Drill, state: PanelState): readonly string[] {
  if (drill.endsLocked === null || drill.endsLocked === state.condition.locked) return [];
  return [drill.endsLocked ? 'The keys are not locked again.' : 'The keys are still locked.'];
}

function alarmFaults(drill: Drill, state: PanelState, { written, lost }: Notebook): readonly string[] {
  if (drill.kind !== 'clearAlarms') return [];
  const stood = drill.condition.alarms;
  return [
    ...state.condition.alarms.map((code) => `Alarm ${code} still stands.`),
    ...lost.map((code) => `Alarm ${code} was cleared before it was written down.`),
    ...stood
      .filter((code) => !written.includes(code) && !lost.includes(code))
      .map((code) => `Alarm ${code} was not written down.`),
    ...written
      .filter((code) => !stood.includes(code))
      .map((code) => `${code} was written down, but no such alarm stood.`),
  ];
}

/** The deeds asked for must be among those done, in their order; looking is free, anything else is told. */
function deedFaults(drill: Drill, state: PanelState): readonly string[] {
  if (drill.kind !== 'deeds') return [];
  const { done, extra } = deedsDone(drill, state);
  return [
    ...drill.deeds
      .slice(done)
      .map((does) => `Not done, or not in this order: ${deedName(does).toLowerCase()}.`),
    ...extra.map((does) => `Nobody asked for this: ${deedName(does).toLowerCase()}.`),
  ];
}

/** How many of the deeds asked for are done, in their order, and what else was done. */
export function deedsDone(
  drill: Drill,
  state: PanelState,
): { readonly done: number; readonly extra: readonly string[] } {
  let done = 0;
  const extra: string[] = [];
  for (const does of state.deeds) {
    if (does === drill.deeds[done]) done += 1;
    else if (!does.startsWith('show')) extra.push(does);
  }
  return { done, extra };
}
