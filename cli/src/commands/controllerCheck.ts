import { readController } from '@brine/core/controllers/panel';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { readJson } from '../files.ts';

export const controllerCheck: Command = {
  name: 'controller check',
  usage: 'brine controller check FILE',
  summary: 'every fault of a definition, with its JSON path',
  shape: { options: [], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('controller check: expected a file *.controller.json');
    const read = readController(readJson(path));
    const faults = 'faults' in read ? read.faults : [];
    return { json: { ok: faults.length === 0, faults } };
  },
};
