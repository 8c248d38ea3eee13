import { sameCodeValue, type CodeValue, type CodeValues, type EditRules } from '../../definitions/index.ts';
import { optionsOf, scaleNow } from '../editing.ts';
import { panelAtRest } from '../interpreter.ts';
import type { Machine } from '../machine.ts';
import { strokesFor, type CodeStrokes } from './strokes.ts';
import type { PlanStep } from './walker.ts';
import { CannotPlan, type Wish } from './wishes.ts';

/**
 * The strokes for a code whose value nobody has seen yet: a count from the booklet's factory value would be a guess, so the value is turned by
 * either key until the display shows what is wanted. Otherwise as {@link strokesFor}, which is run from a value that differs.
 */
export function strokesUnseen(
  machine: Machine,
  present: CodeValues,
  wish: Wish,
  from: string | null,
): CodeStrokes {
  const rules = machine.panel.menus
    .filter((menu) => machine.codes.get(menu.id)!.includes(wish.code))
    .map((menu) => menu.edit ?? {});
  for (const other of othersThan(machine, present, wish)) {
    try {
      const planned = strokesFor(machine, new Map(present).set(wish.code, other), wish, from);
      if (planned.turns) return { ...planned, steps: untilShown(planned, wish.code, rules) };
    } catch (error) {
      // From that value no turning leads there; another may.
      if (!(error instanceof CannotPlan)) throw error;
    }
  }
  return strokesFor(machine, present, wish, from);
}

/** Values that a code may stand at instead, the likeliest first. */
function othersThan(machine: Machine, present: CodeValues, { code, value }: Wish): readonly CodeValue[] {
  const parameter = machine.parameters.get(code);
  if (!parameter) return [];
  const state = panelAtRest(machine, present);
  const scale = scaleNow(machine, state, parameter);
  const near: readonly CodeValue[] = scale
    ? [Number(value) + scale.resolution, Number(value) - scale.resolution, scale.min, scale.max]
    : optionsOf(machine, parameter);
  const standing = state.memory.get(code);
  return [...(standing === undefined ? [] : [standing]), ...near].filter(
    (other) => !sameCodeValue(other, value),
  );
}

/** What the display shows before the first turn: nobody knows which. */
const A_VALUE = 'a value';

/** One step instead of the turns, however many keys they took. */
function untilShown(
  { steps, turns }: CodeStrokes,
  code: string,
  rules: readonly EditRules[],
): readonly PlanStep[] {
  if (!turns || turns.to <= turns.from) return steps;
  const { times: _, keep: __, ...turn } = steps[turns.to - 1]!;
  const all = rules.flatMap(({ more, less, left, right }) => [more, less, left, right]);
  const keys = [...new Set(all)].filter((key) => key !== undefined);
  const before = steps
    .slice(0, turns.from)
    .map((step, i) => (i === turns.from - 1 && step.for === code ? { ...step, shows: A_VALUE } : step));
  return [...before, { ...turn, keys, until: true }, ...steps.slice(turns.to)];
}
