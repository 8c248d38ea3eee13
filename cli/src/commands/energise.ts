import { controlConfig } from '@brine/core/machines/box';
import { earliestStarts } from '@brine/core/machines/starts';
import { CIRCUIT_FORMAT, wireIds } from '@brine/core/wiring/circuit';
import { energise as energised } from '@brine/core/wiring/energise';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { numberOption } from '../quantityOptions.ts';
import { settingsAt } from '../unitFiles.ts';
import { circuitAt } from './wire.ts';

const USUAL_MINUTES = 10;
const MOST_MINUTES = 120;

export const energise: Command = {
  name: 'energise',
  usage: 'brine energise CIRCUIT.json [--done WIRE,…] [--settings SETTINGS.json] [--minutes 10]',
  summary: 'whether a half-done wiring may be energised, and what may start then, when and by what',
  shape: { options: ['done', 'settings', 'minutes'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined)
      throw new Refusal(`energise: expected a file *.circuit.json in ${CIRCUIT_FORMAT}`);
    const plan = circuitAt(path);
    const known = new Set(wireIds(plan.wires));
    const listed = args.options
      .get('done')
      ?.flatMap((list) => list.split(','))
      .map((id) => id.trim());
    const done = listed?.filter((id) => id !== '');
    const strange = done?.find((id) => !known.has(id));
    if (strange !== undefined)
      throw new Refusal(`energise: --done: ${strange}: expected wires of ${path}, as FROM-TO`);
    const minutes = numberOption(args, 'minutes') ?? USUAL_MINUTES;
    if (!(minutes > 0 && minutes <= MOST_MINUTES))
      throw new Refusal(`--minutes: ${minutes}: expected more than 0, at most ${MOST_MINUTES}`);
    const { verdict, dangers, unknown } = energised(plan, done ? new Set(done) : null);
    const config = args.options.has('settings') ? controlConfig(settingsAt('energise', args)) : null;
    if (typeof config === 'string') throw new Refusal(`energise: --settings: ${config}`);
    return {
      json: {
        verdict,
        dangers: dangers.map((danger) => ({ ...danger, volts: Number(danger.volts.toPrecision(6)) })),
        starts: config
          ? earliestStarts(config, minutes).map(({ output, earliestSeconds, by }) => ({
              output,
              earliestSeconds,
              by,
            }))
          : [],
      },
      ...(unknown.length > 0 && { note: unknown.join(' ') }),
    };
  },
};
