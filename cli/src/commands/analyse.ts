import { isFileProblem } from '@brine/core/foundation/files';
import {
  guessLayout,
  isTemperature,
  readWholeLog,
  zoneClock,
  type LogLayout,
} from '@brine/core/logs/reading';
import { judgeLog, logReport } from '@brine/core/logs/against';
import { readSettingsFile, type SettingValues } from '@brine/core/foundation/settings';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson, readText } from '../files.ts';

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
    const text = readText(path);
    const layout = layoutFor(text, option('unit'), option('zone') ?? null);
    const read = readWholeLog(text, layout);
    if (isFileProblem(read)) throw fileRefusal(path, read);
    const settingsPath = option('settings');
    const { found, findings } = judgeLog(
      read.log,
      settingsPath === undefined ? null : settingsOf(settingsPath),
    );
    const { tidied } = read;
    const notes = [
      tidied.unreadable > 0
        ? `${tidied.unreadable} rows could not be read, the first on line ${tidied.problems[0]!.line}: ${tidied.problems[0]!.why}`
        : '',
      tidied.duplicates > 0 ? `${tidied.duplicates} rows stood there twice` : '',
      tidied.unsorted > 0 ? `${tidied.unsorted} rows were out of order` : '',
    ].filter(Boolean);
    return {
      json: logReport(read.log, found, findings),
      ...(notes.length > 0 && { note: `${path}: ${notes.join('; ')}` }),
    };
  },
};

function layoutFor(text: string, unit: string | undefined, zone: string | null): LogLayout {
  if (unit !== undefined && unit !== 'degC' && unit !== 'degF')
    throw new Refusal(`--unit: ${unit}: expected degC or degF`);
  if (zone !== null && !zoneClock(zone))
    throw new Refusal(`--zone: ${zone}: expected a zone such as Europe/Lisbon`);
  const { layout } = guessLayout(text.slice(0, 1 << 16));
  // A name that states its degrees is believed; --unit is for those that do not.
  const columns = layout.columns.map((column) =>
    unit !== undefined &&
    column.role !== null &&
    isTemperature(column.role) &&
    !/deg[cf]|°\s*[cf]|[[(_]\s*[cf]\b/i.test(column.name)
      ? { ...column, fahrenheit: unit === 'degF' }
      : column,
  );
  return { ...layout, columns, zone };
}

function settingsOf(path: string): SettingValues {
  const file = readSettingsFile(readJson(path));
  if (isFileProblem(file)) throw fileRefusal(path, file);
  return file.values;
}
