import { decode as decodeSheet } from '@brine/core/controllers/definitions';
import { settingsFile } from '@brine/core/foundation/settings';
import { required } from '../args.ts';
import type { Command } from '../command.ts';
import { readController, readSheetFile } from '../files.ts';

export const decode: Command = {
  name: 'decode',
  usage: 'brine decode --controller FILE --sheet SHEET.csv',
  summary: "what a control's own values mean",
  shape: { options: ['controller', 'sheet'], flags: [] },
  run(args) {
    const definition = readController(required(args, 'controller'));
    const { values, unplaced } = decodeSheet(definition, readSheetFile(required(args, 'sheet')));
    return { json: { settings: settingsFile(values), unplaced } };
  },
};
