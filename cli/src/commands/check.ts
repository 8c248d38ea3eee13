import { check as checkValues } from '@brine/core/judgement/checks';
import { readUnit, type UnitDescription } from '@brine/core/foundation/unit';
import { isFileProblem } from '@brine/core/foundation/files';
import { readSettingsFile } from '@brine/core/foundation/settings';
import { inWords } from '@brine/core/foundation/sentences';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson } from '../files.ts';

export const check: Command = {
  name: 'check',
  usage: 'brine check SETTINGS.json [--unit UNIT.json]',
  summary: 'findings on a set of values',
  shape: { options: ['unit'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('check: expected a file *.settings.json');
    const file = readSettingsFile(readJson(path));
    if (isFileProblem(file)) throw fileRefusal(path, file);
    const unitPath = args.options.get('unit')?.at(-1);
    const findings = checkValues(file.values, unitPath === undefined ? null : unitAt(unitPath));
    return { json: { findings: findings.map((f) => ({ ...f, message: inWords(f.message) })) } };
  },
};

function unitAt(path: string): UnitDescription {
  const unit = readUnit(readJson(path));
  if (isFileProblem(unit)) throw fileRefusal(path, unit);
  return unit;
}
