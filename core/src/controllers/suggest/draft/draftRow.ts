import { settingOf, type SettingId } from '../../../foundation/settings/index.ts';
import { optionMeanings, type OptionMeaning } from '../choices/meanings.ts';
import { readOptions } from '../choices/readOptions.ts';
import { rowKind } from '../match/rowKind.ts';
import { suggestSetting, type Guess } from '../match/suggest.ts';
import type { Choice } from '../match/learned.ts';
import type { TableRow } from '../table/readTable.ts';

/** A row of the table on its way to a parameter: what it is taken to mean, what its options stand for, what is still open. */
export interface DraftRow extends TableRow {
  readonly setting: SettingId | null;
  readonly score: number;
  readonly runnerUp: Guess | null;
  readonly choices: readonly OptionMeaning[];
}

/** Reads every row's meaning and options; nothing is decided that the person cannot change. */
export function draftRows(rows: readonly TableRow[], learned: readonly Choice[] = []): readonly DraftRow[] {
  const proposed = rows.map((row) => {
    const words = [row.description, row.options].filter(Boolean).join(' ');
    return { row, ...suggestSetting({ ...row, description: words }, learned) };
  });
  return proposed.map(({ row, best, runnerUp }, i) => {
    const rival = best && !mayRepeat.has(best.setting) ? betterRow(proposed, i, best) : null;
    const kept = rival ? null : best;
    return {
      ...row,
      setting: kept?.setting ?? null,
      score: kept?.score ?? 0,
      runnerUp: rival ? best : runnerUp,
      choices: choicesOf(row, kept?.setting ?? null),
      problems: rival
        ? [
            ...row.problems,
            `its words fit ${settingOf(best!.setting).label}, which line ${rival.line} fits better`,
          ]
        : row.problems,
    };
  });
}

/** Settings that several parameters of one control may hold together. */
const mayRepeat: ReadonlySet<SettingId> = new Set(['defrost.clockTimes', 'access.code']);

/** Another row that is proposed for the same setting and fits it better, the earlier one on a tie. */
function betterRow(
  proposed: readonly { readonly row: TableRow; readonly best: Guess | null }[],
  index: number,
  best: Guess,
): TableRow | null {
  const rival = proposed.find(
    (other, i) =>
      i !== index &&
      other.best?.setting === best.setting &&
      (other.best.score > best.score || (other.best.score === best.score && i < index)),
  );
  return rival?.row ?? null;
}

/** The options of a row, with what each stands for under a setting; empty for rows that hold a number. */
export function choicesOf(row: TableRow, setting: SettingId | null): readonly OptionMeaning[] {
  const words = [row.description, row.options].filter(Boolean).join(' ');
  const { options } = readOptions(words, row.min, row.max);
  if (rowKind({ ...row, options: options.length }) !== 'choice') return [];
  if (setting === null) return options.map((o) => ({ ...o, means: null, sure: false }));
  return optionMeanings(setting, words, options);
}
