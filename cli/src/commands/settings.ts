import { writeCsv } from '@brine/core/foundation/files';
import { inWords } from '@brine/core/foundation/sentences';
import { dictionary } from '@brine/core/foundation/settings';
import type { Command } from '../command.ts';

/** An entry as it is printed: its sentences as text. */
const written = (entry: (typeof dictionary)[number]) => ({
  ...entry,
  ...(entry.tooLow !== undefined && { tooLow: inWords(entry.tooLow) }),
  ...(entry.tooHigh !== undefined && { tooHigh: inWords(entry.tooHigh) }),
});

export const settings: Command = {
  name: 'settings',
  usage: 'brine settings [--csv]',
  summary: 'the dictionary of settings',
  shape: { options: [], flags: ['csv'] },
  run(args) {
    if (!args.flags.has('csv'))
      return { json: { format: 'brine-dial/dictionary@1', settings: dictionary.map(written) } };
    const rows = dictionary.map((s) => [s.id, s.kind, s.unit ?? '', s.choices?.join('|') ?? '', s.meaning]);
    return { text: writeCsv(['id', 'kind', 'unit', 'choices', 'meaning'], rows) };
  },
};
