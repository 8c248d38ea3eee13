import { basename } from 'node:path';
import { isFileProblem, parseCsv } from '@brine/core/foundation/files';
import { impliedBy } from '@brine/core/controllers/builtIn';
import { isSettingId } from '@brine/core/foundation/settings';
import {
  draftDefinition,
  draftRows,
  panelFrom,
  panelPatterns,
  readTable,
  type Choice,
  type DraftRow,
} from '@brine/core/controllers/suggest';
import { Refusal, type Args } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readText } from '../files.ts';

export const controllerSuggest: Command = {
  name: 'controller suggest',
  usage: 'brine controller suggest TABLE [--family NAME] [--panel PATTERN] [--learned CHOICES.csv]',
  summary:
    'what each row of a booklet’s table means, with score and runner-up, and a draft of the definition',
  shape: { options: ['family', 'panel', 'learned'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined)
      throw new Refusal('controller suggest: expected a parameter table (CSV, TSV, lines of text or PDF)');
    const table = readTable(args.texts?.get(path) ?? readText(path));
    if (table.rows.length === 0) throw new Refusal(`${path}: ${table.problem}`);
    const rows = draftRows(table.rows, learnedFrom(args));
    const family = args.options.get('family')?.at(-1) ?? basename(path).replace(/\.[^.]*$/, '');
    const names = { id: family.toLowerCase().replace(/[^a-z0-9]+/g, '-'), family, version: '1' };
    const { definition, open } = draftDefinition(names, rows, panelOf(args));
    const implied = impliedBy(definition);
    return {
      json: {
        separator: table.separator,
        columns: table.columns.roles,
        problem: table.problem,
        rows: rows.map(rowOut),
        open,
        implied: implied.map(({ setting, value, because }) => ({ setting, value, because })),
        definition: {
          ...definition,
          ...(implied.length > 0 && {
            implied: Object.fromEntries(implied.map(({ setting, value }) => [setting, value])),
          }),
        },
      },
    };
  },
};

function rowOut({ choices, left, ...row }: DraftRow) {
  return {
    ...row,
    choices: choices.map(({ also, means, ...choice }) => ({
      ...choice,
      means: also && row.setting !== null ? { [row.setting]: means, [also.setting]: also.value } : means,
    })),
    left,
  };
}

function panelOf(args: Args) {
  const id = args.options.get('panel')?.at(-1);
  if (id === undefined) return null;
  const pattern = panelPatterns.find((p) => p.id === id);
  if (!pattern)
    throw new Refusal(
      `--panel: ${id}: no such pattern; expected one of ${panelPatterns.map((p) => p.id).join(', ')}`,
    );
  return panelFrom(pattern, {});
}

/** Earlier choices: a table of description and setting, the setting empty where a row was said to fit nothing. */
function learnedFrom(args: Args): readonly Choice[] {
  const path = args.options.get('learned')?.at(-1);
  if (path === undefined) return [];
  const table = parseCsv(readText(path), ['description', 'setting']);
  if (isFileProblem(table)) throw fileRefusal(path, table);
  return table.rows.map(({ line, cells }) => {
    const setting = cells.get('setting') ?? '';
    if (setting !== '' && !isSettingId(setting))
      throw new Refusal(
        `${path}: line ${line}: ${setting} is not a known setting (brine settings lists them)`,
      );
    return {
      description: cells.get('description') ?? '',
      setting: setting === '' ? null : setting,
    };
  });
}
