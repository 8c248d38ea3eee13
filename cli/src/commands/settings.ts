import { writeCsv } from '@brine/core/foundation/files';
import { dictionary } from '@brine/core/foundation/settings';
import type { Command } from '../command.ts';

export const settings: Command = {
  name: 'settings',
  usage: 'brine settings [--csv]',
  summary: 'the dictionary of settings',
  shape: { options: [], flags: ['csv'] },
  run(args) {
    if (!args.flags.has('csv')) return { json: { format: 'brine-dial/dictionary@1', settings: dictionary } };
    const rows = dictionary.map((s) => [s.id, s.kind, s.unit ?? '', s.choices?.join('|') ?? '', s.meaning]);
    return { text: writeCsv(['id', 'kind', 'unit', 'choices', 'meaning'], rows) };
  },
};
