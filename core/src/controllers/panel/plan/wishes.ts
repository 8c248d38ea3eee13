import {
  displayOf,
  printScale,
  sameCodeValue,
  scaleOf,
  type CodeValue,
  type CodeValues,
  type Parameter,
} from '../../definitions/index.ts';
import { parseNumber } from '../../../foundation/quantities/index.ts';
import { fitsScale, optionsOf } from '../editing.ts';
import type { Machine } from '../machine.ts';
import { setsDisplay, store } from '../values.ts';

/** A value wished for, as the display shows it. */
export interface Wish {
  readonly code: string;
  readonly value: CodeValue;
}

/** Wishes in three rounds: what sets the display, then presets, then the rest; each in the spelling of its parameter. */
export interface Rounds {
  readonly display: readonly Wish[];
  readonly presets: readonly Wish[];
  readonly rest: readonly Wish[];
}

/** A wish that no key stroke can fulfil: a sentence that names the code and what was expected. */
export class CannotPlan extends Error {}

/** Sorts and checks wishes against a memory. Numbers are judged on the display as it stands after the first two rounds. */
export function roundsOf(machine: Machine, memory: CodeValues, wishes: readonly Wish[]): Rounds {
  const seen = new Map<string, Wish>();
  for (const wish of wishes) {
    const parameter = machine.parameters.get(wish.code);
    if (!parameter) throw new CannotPlan(`${wish.code}: no code of this controller`);
    if (parameter.encoding.type === 'reading')
      throw new CannotPlan(`${wish.code}: only shows a reading; it cannot be set`);
    if (![...machine.codes.values()].some((codes) => codes.includes(wish.code)))
      throw new CannotPlan(`${wish.code}: no menu reaches it`);
    seen.set(wish.code, wish);
  }
  const of = (kind: (parameter: Parameter) => boolean) =>
    [...seen.values()].filter((wish) => kind(machine.parameters.get(wish.code)!));
  const isPreset = (p: Parameter) => p.encoding.type === 'preset';
  const display = of(setsDisplay).map((wish) => option(machine, wish));
  const presets = of(isPreset).map((wish) => option(machine, wish));
  const standing = [...display, ...presets].reduce(
    (values, { code, value }) => store(machine.definition, values, code, value),
    memory,
  );
  const rest = of((p) => !setsDisplay(p) && !isPreset(p)).map((wish) =>
    machine.parameters.get(wish.code)!.encoding.type === 'number'
      ? amount(machine, standing, wish)
      : option(machine, wish),
  );
  return { display, presets, rest };
}

function option(machine: Machine, wish: Wish): Wish {
  const options = optionsOf(machine, machine.parameters.get(wish.code)!);
  const value = options.find((o) => sameCodeValue(o, wish.value));
  if (value === undefined)
    throw new CannotPlan(`${wish.code}: ${wish.value} is no option of it; expected ${options.join(', ')}`);
  return { code: wish.code, value };
}

function amount(machine: Machine, values: CodeValues, wish: Wish): Wish {
  const { encoding } = machine.parameters.get(wish.code)!;
  if (encoding.type !== 'number') return wish;
  const value = typeof wish.value === 'number' ? wish.value : parseNumber(wish.value);
  const scale = scaleOf(encoding, displayOf(machine.definition, values));
  if (value === null || !fitsScale(value, scale))
    throw new CannotPlan(`${wish.code}: ${wish.value} cannot be shown; expected ${printScale(scale)}`);
  return { code: wish.code, value };
}
