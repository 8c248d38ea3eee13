import { inWords } from '@brine/core/foundation/sentences';
import { learnUnit } from '@brine/core/judgement/learning';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { readLogFile } from '../logFile.ts';
import { settingsAt, unitAt } from '../unitFiles.ts';

export const identify: Command = {
  name: 'identify',
  usage: 'brine identify LOG.csv --unit UNIT.json --settings SETTINGS.json [--zone Europe/Lisbon]',
  summary: 'a unit’s own box, learned from its log: what was learned, how sure it is, how well it fits',
  shape: { options: ['unit', 'settings', 'zone'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('identify: expected a file *.log.csv');
    const { log, notes } = readLogFile(path, { unit: undefined, zone: args.options.get('zone')?.at(-1) });
    const learning = learnUnit({
      log,
      unit: unitAt('identify', args),
      values: settingsAt('identify', args),
    });
    if (typeof learning === 'string') throw new Refusal(`identify: ${learning}`);
    if (learning?.box === null)
      throw new Refusal(`${path}: ${learning.because.map((f) => inWords(f.message)).join(' ')}`);
    const { box } = learning!;
    return {
      json: { ...box, findings: box.findings.map((f) => ({ ...f, message: inWords(f.message) })) },
      ...(notes.length > 0 && { note: `${path}: ${notes.join('; ')}` }),
    };
  },
};
