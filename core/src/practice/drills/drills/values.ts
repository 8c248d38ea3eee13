import {
  displayOf,
  isVisible,
  sameCodeValue,
  scaleOf,
  type CodeValue,
  type CodeValues,
  type Parameter,
} from '../../../controllers/definitions/index.ts';
import { CannotPlan, planKeys, setsDisplay, type Machine } from '../../../controllers/panel/index.ts';
import { clean, decimalsOf } from '../../../foundation/quantities/index.ts';
import type { Chance, DrillValue } from '../drill.ts';

/** Codes worth practising: in the menu as things stand, with more than one value, not those that change the display under one's hands. */
export function candidates(machine: Machine, values: CodeValues): readonly Parameter[] {
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
export function otherValue(
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

export function canBeKeyed(machine: Machine, begins: CodeValues, goal: readonly DrillValue[]): boolean {
  try {
    planKeys(machine, begins, goal);
    return true;
  } catch (error) {
    if (error instanceof CannotPlan) return false;
    throw error;
  }
}

/** True where changing this code hides or shows others, which would give it away. */
export function governs(machine: Machine, parameter: Parameter): boolean {
  return machine.definition.parameters.some((p) => p.visibleWhen?.code === parameter.code);
}

/** As many codes as `count` with values to be set, each different from the present one and possible to key in; in menu order. */
export function valuesToSet(
  machine: Machine,
  begins: CodeValues,
  chance: Chance,
  count: number,
  suits: (parameter: Parameter) => boolean = () => true,
): readonly DrillValue[] {
  const goal: DrillValue[] = [];
  for (const parameter of shuffled(candidates(machine, begins).filter(suits), chance)) {
    if (goal.length === count) break;
    const value = otherValue(machine, begins, parameter, chance);
    if (value !== null && canBeKeyed(machine, begins, [...goal, { code: parameter.code, value }]))
      goal.push({ code: parameter.code, value });
  }
  const order = new Map(machine.definition.parameters.map((p, i) => [p.code, i]));
  return goal.sort((a, b) => order.get(a.code)! - order.get(b.code)!);
}

export function shuffled<Item>(items: readonly Item[], chance: Chance): readonly Item[] {
  const list = [...items];
  for (let i = list.length - 1; i > 0; i -= 1) {
    const j = Math.floor(chance() * (i + 1));
    [list[i], list[j]] = [list[j]!, list[i]!];
  }
  return list;
}
