import { judgeLog, logReport } from '@brine/core/logs/against';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { readLogFile } from '../logFile.ts';
import { settingsAt } from '../unitFiles.ts';

export const analyse: Command = {
  name: 'analyse',
  usage: 'brine analyse LOG.csv [--settings S.json] [--unit degC] [--zone Europe/Lisbon]',
  summary:
    'what a log shows: band, starts, duty, defrosts, limits, and what does not agree with the settings',
  shape: { options: ['settings', 'unit', 'zone'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('analyse: expected a file *.log.csv');
    const option = (name: string) => args.options.get(name)?.at(-1);
    const { log, notes } = readLogFile(path, { unit: option('unit'), zone: option('zone') });
    const { found, findings } = judgeLog(
      log,
      option('settings') === undefined ? null : settingsAt('analyse', args),
    );
    return {
      json: logReport(log, found, findings),
      ...(notes.length > 0 && { note: `${path}: ${notes.join('; ')}` }),
    };
  },
};
