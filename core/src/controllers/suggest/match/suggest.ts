import { settingOf, type SettingId } from '../../../foundation/settings/index.ts';
import { optionMeanings } from '../choices/meanings.ts';
import { readOptions } from '../choices/readOptions.ts';
import { conceptsOf, weightOf, type Concepts } from '../words/concepts.ts';
import { learnedScores, type Choice } from './learned.ts';
import { patterns, type Pattern } from './patterns.ts';
import { kindFits, rowKind } from './rowKind.ts';

/** What a booklet prints of one parameter; a column it lacks is empty. */
export interface BookletRow {
  readonly description: string;
  readonly unit: string;
  readonly min: string;
  readonly max: string;
  readonly default: string;
}

/** A setting a row may mean, and how well it fits: 0 not at all, 1 as well as can be. */
export interface Guess {
  readonly setting: SettingId;
  readonly score: number;
}

/** The meaning proposed for a row; null where nothing fits well enough. The runner-up is there to be taken instead. */
export interface Suggestion {
  readonly best: Guess | null;
  readonly runnerUp: Guess | null;
}

/** From here on a meaning is clear: below, somebody should look at it. */
export const CLEAR = 0.75;
/** From here on it is sure. */
export const SURE = 0.9;
/** Below this a row is said to fit nothing. */
export const FITS = 0.55;

/**
 * Proposes what a row of a parameter table means, from its description, unit and range; rows the company placed before (`choices`) weigh in by how
 * alike they are worded. Scores are comparable between rows.
 */
export function suggestSetting(row: BookletRow, choices: readonly Choice[] = []): Suggestion {
  const read = readOptions(row.description, row.min, row.max);
  const concepts = conceptsOf(read.rest);
  const withOptions = conceptsOf(read.options.map((o) => o.words).join(' '));
  const kind = rowKind({ ...row, options: read.options.length });
  const scores = new Map<SettingId, number>();
  for (const pattern of patterns) {
    const fit = kindFits(kind, settingOf(pattern.setting));
    const score = fit * patternScore(pattern, concepts, withOptions);
    if (score > (scores.get(pattern.setting) ?? 0)) scores.set(pattern.setting, score);
  }
  for (const [setting, score] of scores) scores.set(setting, score * optionsFit(setting, row, read.options));
  for (const [setting, score] of learnedScores(concepts, choices)) {
    const fitting = score * kindFits(kind, settingOf(setting));
    if (fitting > (scores.get(setting) ?? 0)) scores.set(setting, fitting);
  }
  const ranked = [...scores]
    .map(([setting, score]) => ({ setting, score: Math.min(1, Math.round(score * 1000) / 1000) }))
    .sort((a, b) => b.score - a.score);
  const best = ranked[0] && ranked[0].score >= FITS ? ranked[0] : null;
  return { best, runnerUp: ranked[best ? 1 : 0] ?? null };
}

/** What is explained by the pattern, against what is not; words of the options may help but do not hurt. */
function patternScore(pattern: Pattern, { named, unknown }: Concepts, options: Concepts): number {
  const used = new Set<string>();
  let helped = 0;
  for (const any of pattern.must) {
    const own = any.filter((concept) => named.has(concept));
    if (own.length === 0) {
      if (!any.some((concept) => options.named.has(concept))) return 0;
      helped += 1;
    }
    for (const concept of own) used.add(concept);
  }
  if (helped === pattern.must.length) return 0;
  const must = [...used].reduce((sum, concept) => sum + weightOf(concept), 0);
  let explained = must + 0.5 * helped;
  let left = 0;
  for (const concept of named) {
    if (used.has(concept)) continue;
    if (pattern.may.has(concept)) explained += weightOf(concept) * 0.9;
    else left += weightOf(concept);
  }
  const strange = 0.35 * Math.min(unknown.length, 5);
  const share = explained / (explained + left + strange);
  // A pattern that asks for more and gets it says more than one that asks for little.
  return share * (0.88 + 0.12 * Math.min(1, (must + helped) / 5));
}

/** Options whose words are those of the setting's choices speak for it; words that are none of them, against. */
function optionsFit(
  setting: SettingId,
  row: BookletRow,
  options: ReturnType<typeof readOptions>['options'],
): number {
  const worded = options.filter((o) => o.words !== '');
  const { kind } = settingOf(setting);
  if (worded.length < 2) return 1;
  if (kind !== 'choice' && kind !== 'flag') return 0.9;
  const means = optionMeanings(setting, row.description, worded);
  const share = means.filter((m) => m.means !== null && m.sure).length / means.length;
  return 0.82 + 0.2 * share;
}
