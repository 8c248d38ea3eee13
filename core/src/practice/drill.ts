import {
  displayOf,
  isVisible,
  sameCodeValue,
  scaleOf,
  type CodeValue,
  type CodeValues,
  type Parameter,
} from '../controllers/index.ts';
import { panelAtRest, planKeys, setsDisplay, type Machine } from '../panel/index.ts';
import { clean, decimalsOf } from '../quantities/index.ts';

/** An exercise on a panel: how it begins, and what must be stored at the end. */
export interface Drill {
  readonly kind: 'setValues' | 'findChanged';
  readonly begins: CodeValues;
  /** What is asked, code by code. For `findChanged` the values of the sheet beside the cabinet. */
  readonly goal: readonly { readonly code: string; readonly value: CodeValue }[];
  /** Memory at the end, every code. */
  readonly ends: CodeValues;
}

/** Numbers in [0, 1), handed in: the core has no chance of its own. */
export type Chance = () => number;

/** Set these values: as many codes as `count`, each to a value that differs from the present one and can be keyed in. */
export function setValuesDrill(machine: Machine, chance: Chance, count = 5): Drill {
  const begins = panelAtRest(machine).memory;
  const goal: { code: string; value: CodeValue }[] = [];
  for (const parameter of shuffled(candidates(machine, begins), chance)) {
    if (goal.length === count) break;
    const value = otherValue(machine, begins, parameter, chance);
    if (value !== null && canBeKeyed(machine, begins, [...goal, { code: parameter.code, value }]))
      goal.push({ code: parameter.code, value });
  }
  const order = new Map(machine.definition.parameters.map((p, i) => [p.code, i]));
  goal.sort((a, b) => order.get(a.code)! - order.get(b.code)!);
  return { kind: 'setValues', begins, goal, ends: planKeys(machine, begins, goal).stored };
}

/** Somebody changed one value: find it by the sheet, and set it back. */
export function findChangedDrill(machine: Machine, chance: Chance): Drill {
  const ends = panelAtRest(machine).memory;
  for (const parameter of shuffled(candidates(machine, ends), chance)) {
    const value = otherValue(machine, ends, parameter, chance);
    if (value === null) continue;
    const begins = new Map(ends).set(parameter.code, value);
    // What hides other codes would give itself away.
    const hides = machine.definition.parameters.some((p) => p.visibleWhen?.code === parameter.code);
    if (hides || !canBeKeyed(machine, begins, [{ code: parameter.code, value: ends.get(parameter.code)! }]))
      continue;
    const goal = machine.definition.parameters.flatMap((p) =>
      ends.has(p.code) && isVisible(machine.definition, p, ends)
        ? [{ code: p.code, value: ends.get(p.code)! }]
        : [],
    );
    return { kind: 'findChanged', begins, goal, ends };
  }
  throw new Error('this panel has no value that can be changed and set back');
}

/** Codes worth practising: in the menu as things stand, with more than one value, not those that change the display under one's hands. */
function candidates(machine: Machine, values: CodeValues): readonly Parameter[] {
  const held = new Set([...machine.codes.values()].flat());
  return machine.definition.parameters.filter(
    (p) =>
      held.has(p.code) &&
      (p.encoding.type === 'number' || p.encoding.type === 'choice') &&
      !setsDisplay(p) &&
      isVisible(machine.definition, p, values),
  );
}

/** Another value near the present one, so that a drill is about finding the way and not about counting. */
function otherValue(
  machine: Machine,
  values: CodeValues,
  parameter: Parameter,
  chance: Chance,
): CodeValue | null {
  const { encoding } = parameter;
  if (encoding.type === 'choice') {
    const others = encoding.options
      .map((o) => o.value)
      .filter((o) => !sameCodeValue(o, values.get(parameter.code)!));
    return others[Math.floor(chance() * others.length)] ?? null;
  }
  if (encoding.type !== 'number') return null;
  const scale = scaleOf(encoding, displayOf(machine.definition, values));
  const steps = 1 + Math.floor(chance() * 9);
  const now = Number(values.get(parameter.code));
  const near = (chance() < 0.5 ? [steps, -steps] : [-steps, steps]).map((by) =>
    clean(now + by * scale.resolution, decimalsOf(scale.resolution)),
  );
  return near.find((v) => v >= scale.min && v <= scale.max) ?? null;
}

function canBeKeyed(machine: Machine, begins: CodeValues, goal: Drill['goal']): boolean {
  try {
    planKeys(machine, begins, goal);
    return true;
  } catch {
    return false;
  }
}

function shuffled<Item>(items: readonly Item[], chance: Chance): readonly Item[] {
  const list = [...items];
  for (let i = list.length - 1; i > 0; i -= 1) {
    const j = Math.floor(chance() * (i + 1));
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}
