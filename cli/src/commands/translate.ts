import { translate as translateSheet } from '@brine/core/controllers/translate';
import { writeCsv } from '@brine/core/foundation/files';
import { required } from '../args.ts';
import type { Command } from '../command.ts';
import { readController, readSheetFile } from '../files.ts';

export const translate: Command = {
  name: 'translate',
  usage: 'brine translate --from FILE --sheet SHEET.csv --to FILE [--csv]',
  summary: "one control's sheet in another's codes, and what is lost",
  shape: { options: ['from', 'sheet', 'to'], flags: ['csv'] },
  run(args) {
    const from = readController(required(args, 'from'));
    const to = readController(required(args, 'to'));
    const { rows, lost, unplaced } = translateSheet(from, readSheetFile(required(args, 'sheet')), to);
    if (!args.flags.has('csv')) return { json: { rows, lost, unplaced } };
    const lines = rows.map((r) => [
      r.code ?? '',
      String(r.value),
      [r.setting ?? []].flat().join(' '),
      r.status,
      r.note,
    ]);
    return { text: writeCsv(['code', 'value', 'setting', 'status', 'note'], lines) };
  },
};
