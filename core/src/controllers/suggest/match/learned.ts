import type { SettingId } from '../../../foundation/settings/index.ts';
import { readOptions } from '../choices/readOptions.ts';
import { conceptsOf, weightOf, type Concepts } from '../words/concepts.ts';

/** A row somebody of the company placed before. `null`: they said that it fits nothing. */
export interface Choice {
  readonly description: string;
  readonly setting: SettingId | null;
}

/** Least likeness at which an earlier choice counts at all. */
const ALIKE = 0.6;

/**
 * Settings that rows worded alike were given before, with a score by how alike they are: the weighted share of common concepts and words.
 * The same words give 0.99, so that what the company decided wins over any pattern.
 */
export function learnedScores(
  concepts: Concepts,
  choices: readonly Choice[],
): ReadonlyMap<SettingId, number> {
  const scores = new Map<SettingId, number>();
  for (const { description, setting } of choices) {
    if (setting === null) continue;
    const likeness = alike(concepts, conceptsOf(readOptions(description).rest));
    if (likeness < ALIKE) continue;
    const score = 0.99 * likeness;
    if (score > (scores.get(setting) ?? 0)) scores.set(setting, score);
  }
  return scores;
}

function alike(a: Concepts, b: Concepts): number {
  const weight = (item: string) => (item.startsWith('?') ? 1 : weightOf(item));
  const all = (c: Concepts) => new Set([...c.named, ...c.unknown.map((w) => `?${w}`)]);
  const [one, two] = [all(a), all(b)];
  const sum = (items: Iterable<string>) => [...items].reduce((total, item) => total + weight(item), 0);
  const common = sum([...one].filter((item) => two.has(item)));
  const either = sum(new Set([...one, ...two]));
  return either === 0 ? 0 : common / either;
}
