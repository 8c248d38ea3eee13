import { plan as planUnit } from '@brine/core/judgement/plan';
import { readUnit, UNIT_FORMAT } from '@brine/core/foundation/unit';
import { isFileProblem } from '@brine/core/foundation/files';
import { inWords } from '@brine/core/foundation/sentences';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson } from '../files.ts';

export const plan: Command = {
  name: 'plan',
  usage: 'brine plan UNIT.json',
  summary: 'settings for a unit, each with reason, preference and the range thought sound',
  shape: { options: [], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal(`plan: expected a file *.unit.json in ${UNIT_FORMAT}`);
    const unit = readUnit(readJson(path));
    if (isFileProblem(unit)) throw fileRefusal(path, unit);
    const planned = planUnit(unit);
    return {
      json: { ...planned, settings: planned.settings.map((s) => ({ ...s, reason: inWords(s.reason) })) },
    };
  },
};
