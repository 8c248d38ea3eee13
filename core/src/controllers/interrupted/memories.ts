import { sameCodeValue, type CodeValues } from '../definitions/index.ts';
import { act, panelAtRest, type Act, type Machine, type PanelState } from '../panel/index.ts';

/** How the work at a panel came to its end: nobody pressed anything any more, or the supply went. */
export const endings = ['leftAlone', 'powerCut'] as const;
export type Ending = (typeof endings)[number];

/** What a control's memory may be, and the points at which it would have stopped. */
export interface MayBe {
  readonly memory: CodeValues;
  readonly stops: readonly { readonly after: number; readonly ending: Ending }[];
}

/** Longer than any menu waits, s. */
const LONG = 24 * 3600;

/** Strokes one by one: a step of several presses may stop between any two, with the held key still down. */
export const singleStrokes = (steps: readonly Act[]): readonly Act[] =>
  steps.flatMap((step): readonly Act[] => {
    if (step.action !== 'press') return [step];
    const times = step.times ?? 1;
    return Array.from({ length: times }, (_, i) => ({
      ...step,
      times: 1,
      ...(step.holding && { keep: i < times - 1 || step.keep === true }),
    }));
  });

/** The panel after work on it ended: out of every menu, with what the ending keeps. A menu without a time-out stays open; what is in hand there is not in memory. */
export function ended(machine: Machine, state: PanelState, ending: Ending): CodeValues {
  if (ending === 'leftAlone') return act(machine, state, { action: 'wait', seconds: LONG }).state.memory;
  const off = act(machine, state, { action: 'power', to: 'off' }).state;
  return act(machine, off, { action: 'power', to: 'on' }).state.memory;
}

/**
 * Every memory that a control may have after strokes that were broken off somewhere, the interpreter run over every point at which it can have stopped and every way in which it can have ended. What is the same is
 * told once, in the order of the strokes.
 *
 * @param present what the memory held before; codes not in it stand at their default
 */
export function memoriesAfter(
  machine: Machine,
  present: CodeValues,
  steps: readonly Act[],
): readonly MayBe[] {
  return memoriesFrom(machine, panelAtRest(machine, present), steps);
}

/** The same from a panel that stands anywhere. */
export function memoriesFrom(machine: Machine, from: PanelState, steps: readonly Act[]): readonly MayBe[] {
  const found: MayBe[] = [];
  let state = from;
  const strokes = singleStrokes(steps);
  for (let after = 0; after <= strokes.length; after += 1) {
    if (after > 0) state = act(machine, state, strokes[after - 1]!).state;
    for (const ending of endings)
      found.push({ memory: ended(machine, state, ending), stops: [{ after, ending }] });
  }
  return distinct(found);
}

/** Memories that are the same told once, with every point at which each may have come about. */
export function distinct(memories: readonly MayBe[]): readonly MayBe[] {
  const found: { memory: CodeValues; stops: MayBe['stops'] }[] = [];
  for (const { memory, stops } of memories) {
    const same = found.find((one) => isSame(one.memory, memory));
    if (same) same.stops = [...same.stops, ...stops];
    else found.push({ memory, stops });
  }
  return found;
}

/** Codes in which memories that no reading tells apart still differ: they are hidden in all of them, or show alike. They are set anew once they can be seen. */
export const undecided = (left: readonly MayBe[]): readonly string[] =>
  [...(left[0]?.memory ?? [])].flatMap(([code, value]) =>
    left.every(({ memory }) => sameCodeValue(memory.get(code)!, value)) ? [] : [code],
  );

function isSame(a: CodeValues, b: CodeValues): boolean {
  if (a.size !== b.size) return false;
  for (const [code, value] of a) {
    const other = b.get(code);
    if (other === undefined || !sameCodeValue(value, other)) return false;
  }
  return true;
}
