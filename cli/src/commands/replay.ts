import { controlConfig } from '@brine/core/machines/box';
import { fansOf } from '@brine/core/machines/condenser';
import { isFileProblem } from '@brine/core/foundation/files';
import { gapSentence, logGaps, readLog, replay as replayLog } from '@brine/core/machines/simulation';
import { Refusal, required } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readText } from '../files.ts';
import { readSettings } from '../unitFiles.ts';

/** Longest run: somewhat over a year of seconds. */
const MOST_SECONDS = 400 * 86400;

export const replay: Command = {
  name: 'replay',
  usage: 'brine replay --settings S.json --trace L.csv [--stop SECONDS]',
  summary: 'what a control with these settings would have done over a log',
  shape: { options: ['settings', 'trace', 'stop'], flags: [] },
  run(args) {
    const settingsPath = required(args, 'settings');
    const tracePath = required(args, 'trace');
    const values = readSettings(settingsPath);
    const condenser = fansOf(values);
    const read = controlConfig(values);
    // Where only fans are regulated, their own pair is enough.
    if (typeof read === 'string' && !condenser) throw new Refusal(`${settingsPath}: ${read}`);
    const config = typeof read === 'string' ? null : read;
    const rows = readLog(readText(tracePath));
    if (isFileProblem(rows)) throw fileRefusal(tracePath, rows);
    const typed = args.options.get('stop')?.at(-1);
    const stop = typed === undefined ? undefined : Number(typed);
    if (stop !== undefined && !(Number.isInteger(stop) && stop > 0 && stop <= MOST_SECONDS))
      throw new Refusal(`--stop: ${typed}: expected whole seconds, 1 to ${MOST_SECONDS}`);
    const gaps = gapSentence(logGaps(rows));
    return {
      json: replayLog(config, rows, stop, condenser),
      ...(gaps !== '' && { note: `${tracePath}: ${gaps}` }),
    };
  },
};
