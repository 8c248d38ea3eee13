import { ampsOf } from '@brine/core/wiring/circuit';
import { Refusal, type Args } from '../args.ts';
import type { Command } from '../command.ts';

export const amps: Command = {
  name: 'amps',
  usage: 'brine amps --watts 1800 --volts 240 [--phases 3]',
  summary: 'amps and ohms of a load from its plate',
  shape: { options: ['watts', 'volts', 'phases'], flags: [] },
  run(args) {
    const phases = args.options.get('phases')?.at(-1) ?? '1';
    if (phases !== '1' && phases !== '3') throw new Refusal(`--phases: ${phases}: expected 1 or 3`);
    return {
      json: ampsOf(positive(args, 'watts', 'W'), positive(args, 'volts', 'V'), phases === '3' ? 3 : 1),
    };
  },
};

/** A number above 0, with its unit or without: `1800`, `1800W`, `1.8k` is refused rather than guessed. */
function positive(args: Args, name: string, unit: string): number {
  const text = args.options.get(name)?.at(-1);
  if (text === undefined) throw new Refusal(`--${name}: expected a number above 0 in ${unit}`);
  const number = Number(text.trim().replace(new RegExp(`\\s*${unit}$`), ''));
  if (!Number.isFinite(number) || number <= 0)
    throw new Refusal(`--${name}: ${text}: expected a number above 0 in ${unit}`);
  return number;
}
