import { check as checkValues } from '@brine/core/judgement/checks';
import { inWords } from '@brine/core/foundation/sentences';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { readSettings, readUnitFile } from '../unitFiles.ts';

export const check: Command = {
  name: 'check',
  usage: 'brine check SETTINGS.json [--unit UNIT.json]',
  summary: 'findings on a set of values',
  shape: { options: ['unit'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('check: expected a file *.settings.json');
    const unitPath = args.options.get('unit')?.at(-1);
    const findings = checkValues(readSettings(path), unitPath === undefined ? null : readUnitFile(unitPath));
    return { json: { findings: findings.map((f) => ({ ...f, message: inWords(f.message) })) } };
  },
};
