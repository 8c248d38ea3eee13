import { settingOf, type SettingId } from '../../../foundation/settings/index.ts';
import { optionMeanings, type OptionMeaning } from '../choices/meanings.ts';
import { readOptions } from '../choices/readOptions.ts';
import { rowKind } from '../match/rowKind.ts';
import {
  CLEAR,
  FITS,
  suggestSetting,
  type BookletRow,
  type Guess,
  type Suggestion,
} from '../match/suggest.ts';
import type { Choice } from '../match/learned.ts';
import type { TableRow } from '../table/readTable.ts';
import { conditionIn, type RowCondition } from './condition.ts';

/** A row of the table on its way to a parameter: what it is taken to mean, what its options stand for, what is still open. */
export interface DraftRow extends TableRow {
  readonly setting: SettingId | null;
  readonly score: number;
  readonly runnerUp: Guess | null;
  readonly choices: readonly OptionMeaning[];
  /** The menu shows it only for some options of another row; null: always. */
  readonly condition: RowCondition | null;
}

/** Reads every row's meaning and options; nothing is decided that the person cannot change. */
export function draftRows(
  printed: readonly TableRow[],
  learned: readonly Choice[] = [],
): readonly DraftRow[] {
  const masters = printed.map((row) => ({ code: row.code, choices: choicesOf(row, null) }));
  const read = printed.map((row) => conditionIn(row.description, masters));
  const rows = printed.map((row, i) => ({ ...row, description: read[i]!.words }));
  const worded = rows.map((row) => [row.description, row.options].filter(Boolean).join(' '));
  const alone = rows.map((row, i) => ({ row, ...suggestOf({ ...row, description: worded[i]! }, learned) }));
  const proposed = ofACondenser(alone.map(({ best }) => best))
    ? alone.map((own, i) => ({ ...own, ...asOfCondenser(own, worded[i]!, learned) }))
    : alone;
  return proposed.map(({ row, best, runnerUp }, i) => {
    const rival = best && !mayRepeat.has(best.setting) ? betterRow(proposed, i, best) : null;
    const kept = rival ? null : best;
    return {
      ...row,
      setting: kept?.setting ?? null,
      score: kept?.score ?? 0,
      runnerUp: rival ? best : runnerUp,
      choices: choicesOf(row, kept?.setting ?? null),
      condition: read[i]!.condition,
      problems: rival
        ? [
            ...row.problems,
            `its words fit ${settingOf(best!.setting).label}, which line ${rival.line} fits better`,
          ]
        : row.problems,
    };
  });
}

/** What a row means; where its words say nothing, its code may be a word: `UNIT`. */
function suggestOf(row: TableRow, learned: readonly Choice[]): Suggestion {
  const whole = suggestInGroup(row, row.folder, learned);
  // A remark in brackets may speak of something else: "Low temperature alarm (alarm differential)".
  const bare = row.description.replace(/\s*\([^()=:]*\)/g, '');
  const short =
    bare === row.description ? whole : suggestInGroup({ ...row, description: bare }, row.folder, learned);
  const own = (short.best?.score ?? 0) > (whole.best?.score ?? 0) ? short : whole;
  if (own.best || !/^[A-Za-z]{3,}$/.test(row.code)) return own;
  const named = suggestInGroup(
    { ...row, description: `${row.code}: ${row.description}` },
    row.folder,
    learned,
  );
  return named.best && named.best.score >= CLEAR ? named : own;
}

/** A table that sets a condenser's temperature and has nothing to do with a defrost is a condenser's throughout. */
const ofACondenser = (guesses: readonly (Guess | null)[]): boolean =>
  guesses.some((guess) => guess?.setting === 'condenser.setpoint' && guess.score >= CLEAR) &&
  !guesses.some((guess) => guess?.setting.startsWith('defrost.'));

/** In a condenser's table "high alarm" is the condenser's. */
function asOfCondenser(
  own: Suggestion & { readonly row: TableRow },
  words: string,
  learned: readonly Choice[],
): Suggestion {
  if (own.best?.setting.startsWith('condenser.')) return own;
  const read = suggestSetting({ ...own.row, description: `condenser ${words}` }, learned);
  if (!read.best?.setting.startsWith('condenser.')) return own;
  const score = Math.round(read.best.score * GROUP_COUNTS * 1000) / 1000;
  return score < FITS ? own : { best: { ...read.best, score }, runnerUp: own.best ?? read.runnerUp };
}

/** A row means less than its group's title and itself together: "temperature that ends it", under "Defrost". */
const GROUP_COUNTS = 0.96;

/** What a row means by itself; where that is not clear, with the title of its group before it. */
function suggestInGroup(row: BookletRow, group: string, learned: readonly Choice[]): Suggestion {
  const alone = suggestSetting(row, learned);
  if (group === '' || (alone.best && alone.best.score >= CLEAR)) return alone;
  const title = group.replace(
    /\b(menu|folder|group|section|level|parameters?|settings?)\b|^[\d.]+\s|\b[A-Z]\b/gi,
    ' ',
  );
  const together = suggestSetting({ ...row, description: `${title} ${row.description}` }, learned);
  if (!together.best) return alone;
  const score = Math.round(together.best.score * GROUP_COUNTS * 1000) / 1000;
  return score < FITS || (alone.best && alone.best.score >= score)
    ? alone
    : { best: { ...together.best, score }, runnerUp: alone.best ?? together.runnerUp };
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
  const read = readOptions(words, row.min, row.max);
  // "(YES/NO)" with a factory value YES: the words are what is typed.
  const typed =
    read.counted && read.options.some((o) => o.words.toLowerCase() === row.default.trim().toLowerCase());
  const options = typed ? read.options.map((o) => ({ ...o, value: o.words })) : read.options;
  if (rowKind({ ...row, options: options.length }) !== 'choice') return [];
  // A count that a booklet gives no words for stays a number.
  const kind = setting === null ? null : settingOf(setting).kind;
  const isNumber = kind !== null && kind !== 'choice' && kind !== 'flag';
  if (isNumber && options.every((option) => option.words === '')) return [];
  if (setting === null) return options.map((o) => ({ ...o, means: null, sure: false }));
  return optionMeanings(setting, words, options);
}
