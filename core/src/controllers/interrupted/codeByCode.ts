import { sameCodeValue, type CodeValues } from '../definitions/index.ts';
import {
  act,
  afterKeying,
  CannotPlan,
  panelAtRest,
  strokesFor,
  strokesOut,
  type Act,
  type Machine,
  type PanelState,
  type Wish,
} from '../panel/index.ts';
import { distinct, ended, endings, type MayBe, memoriesFrom } from './memories.ts';

/** A code that was said to stand. */
export interface Done extends Wish {
  /** Long enough nothing was said behind it for the menu to have closed by itself, or for a cut. */
  readonly pause: boolean;
}

/** What was done at a panel since its memory was last known for certain. */
export interface AtPanel {
  /** What the memory held then; codes not in it stand at their default. */
  readonly before: CodeValues;
  /** Codes that were said to stand, in the order in which that was said. */
  readonly done: readonly Done[];
  /** The code that was being keyed, or that comes next; null: the last strokes were those out of the menu. */
  readonly under: Wish | null;
}

/** Where a panel may stand once a code is said to be done. */
interface Standing {
  readonly state: PanelState;
  /** The code at which its display stands; null: at rest. */
  readonly from: string | null;
  /** A menu has closed in one of the pauses. */
  readonly closed: boolean;
}

/**
 * Every memory that a control may have after a list was keyed code by code and broken off. What was said to stand was taken by the panel then, but in one of the pauses the menu may have closed without anybody saying so and
 * dropped what it held; and the strokes of the code under hand may have stopped at any point. What is the same is told once.
 */
export function memoriesAtPanel(machine: Machine, { before, done, under }: AtPanel): readonly MayBe[] {
  const open: Standing = { state: panelAtRest(machine, before), from: null, closed: false };
  const standings = done.reduce<readonly Standing[]>(
    (now, wish) => {
      const next = afterCode(machine, now, wish);
      return wish.pause ? alikeOnce([...next, ...next.flatMap((one) => closings(machine, one))]) : next;
    },
    [open],
  );
  return distinct(standings.flatMap((standing) => stops(machine, standing, under)));
}

/** The ways in which a menu is left behind a code: by its own strokes, by itself, by a cut. Whoever goes on begins at the standard display. */
function closings(machine: Machine, standing: Standing): readonly Standing[] {
  if (standing.closed) return [];
  const left = played(machine, standing.state, strokesOutOf(machine, standing));
  return [left, ...endings.map((ending) => panelAtRest(machine, ended(machine, standing.state, ending)))].map(
    (state) => ({ state, from: null, closed: true }),
  );
}

/** Where the panel may stand after one more code. A standing from which its strokes do not lead there was not the true one; if none is left, it was keyed some other way. */
function afterCode(machine: Machine, standings: readonly Standing[], wish: Wish): readonly Standing[] {
  const led = standings.flatMap((standing) => keyed(machine, standing, wish));
  if (led.length > 0) return led;
  return alikeOnce(
    standings.map(({ state, closed }) => ({
      closed,
      state: panelAtRest(machine, afterKeying(machine, seenBy(machine, state), [wish])),
      from: null,
    })),
  );
}

/** Where the panel stands after one more code; nowhere where its strokes do not lead there. */
function keyed(machine: Machine, standing: Standing, wish: Wish): readonly Standing[] {
  const planned = strokesOf(machine, standing, wish);
  if (!planned) return [];
  return [{ ...standing, state: played(machine, standing.state, planned.steps), from: planned.ends }];
}

function strokesOf(machine: Machine, { state, from }: Standing, wish: Wish) {
  try {
    return strokesFor(machine, seenBy(machine, state), wish, from);
  } catch (error) {
    if (error instanceof CannotPlan) return null;
    throw error;
  }
}

/** The values that the panel shows: what is in hand stands for what is in memory. */
const seenBy = (machine: Machine, { memory, hand }: PanelState): CodeValues =>
  afterKeying(
    machine,
    memory,
    [...hand].map(([code, value]) => ({ code, value })),
  );

const played = (machine: Machine, state: PanelState, steps: readonly Act[]): PanelState =>
  steps.reduce((now, step) => act(machine, now, step).state, state);

/** Each way in which the work can end from here on: the menu left as it should be, or broken off at any stroke of what comes next. */
function stops(machine: Machine, standing: Standing, under: Wish | null): readonly MayBe[] {
  const out = strokesOutOf(machine, standing);
  const broken = memoriesFrom(
    machine,
    standing.state,
    under ? (strokesOf(machine, standing, under)?.steps ?? []) : out,
  );
  return [...broken, { memory: played(machine, standing.state, out).memory, stops: [] }];
}

function strokesOutOf(machine: Machine, { state, from }: Standing): readonly Act[] {
  if (from === null) return [];
  try {
    return strokesOut(machine, seenBy(machine, state), from);
  } catch (error) {
    if (error instanceof CannotPlan) return [];
    throw error;
  }
}

/** Panels that stand at the same place with the same values are followed once. */
function alikeOnce(standings: readonly Standing[]): readonly Standing[] {
  const known = new Map<string, Standing>();
  for (const standing of standings) {
    const { memory, hand } = standing.state;
    const key = JSON.stringify([standing.from, [...memory], [...hand]]);
    if (!known.has(key)) known.set(key, standing);
  }
  return [...known.values()];
}

/** Codes said to stand that one of the memories does not hold so: what was thought done and may not be. */
export const doubtful = (done: readonly Wish[], memories: readonly MayBe[]): readonly string[] =>
  done.flatMap(({ code, value }) =>
    memories.every(({ memory }) => sameCodeValue(memory.get(code)!, value)) ? [] : [code],
  );
