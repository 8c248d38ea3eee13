import { plan as planUnit } from '@brine/core/judgement/plan';
import { UNIT_FORMAT } from '@brine/core/foundation/unit';
import { inWords } from '@brine/core/foundation/sentences';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { readUnitFile } from '../unitFiles.ts';

export const plan: Command = {
  name: 'plan',
  usage: 'brine plan UNIT.json',
  summary: 'settings for a unit, each with reason, preference and the range thought sound',
  shape: { options: [], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal(`plan: expected a file *.unit.json in ${UNIT_FORMAT}`);
    const planned = planUnit(readUnitFile(path));
    return {
      json: { ...planned, settings: planned.settings.map((s) => ({ ...s, reason: inWords(s.reason) })) },
    };
  },
};
