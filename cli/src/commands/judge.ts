import { inWords } from '@brine/core/foundation/sentences';
import { judgement } from '@brine/core/judgement/verdict';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { readController } from '../files.ts';
import { readSettings, unitAt } from '../unitFiles.ts';
import { circuitAt } from './wire.ts';

export const judge: Command = {
  name: 'judge',
  usage: 'brine judge SETTINGS.json --unit UNIT.json [--controller DEF.json] [--circuit C.json]',
  summary: 'everything said against values on a unit, by rules and by its simulated day, and what mends it',
  shape: { options: ['unit', 'controller', 'circuit'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('judge: expected a file *.settings.json');
    const values = readSettings(path);
    const at = (name: string) => args.options.get(name)?.at(-1);
    const unit = unitAt('judge', args);
    const [control, circuit] = [at('controller'), at('circuit')];
    const { findings, day, problem } = judgement({
      unit,
      values,
      controller: control === undefined ? null : readController(control),
      circuit: circuit === undefined ? null : circuitAt(circuit),
      display: unit.displayUnit === 'fahrenheit' ? 'degF' : 'degC',
    });
    return {
      json: {
        findings: findings.map(({ message, remedy, ...finding }) => ({
          ...finding,
          message: inWords(message),
          remedy: remedy && { ...remedy, words: inWords(remedy.words) },
        })),
        day,
      },
      ...(problem !== null && { note: problem }),
    };
  },
};
