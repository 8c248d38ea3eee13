import type { OptionMeaning } from '../choices/meanings.ts';

/** A row that the menu shows only for some options of another: that code, and those options. */
export interface RowCondition {
  readonly code: string;
  readonly values: readonly string[];
}

/** "only if p4 = 1", "(when dF is 1 or 2)", "with P4 ≠ 0": a code, and what it must or must not be. */
const phrase =
  /[([]?\s*\b(?:(?:only|visible|shown|active|available|used)\s+)*(?:if|when|where|with|for)\s+(?:parameter\s+)?([A-Za-z0-9._-]+)\s*(=|≠|<>|!=|is not|is)\s*([A-Za-z0-9]+(?:\s*(?:,|or|\/|and)\s*[A-Za-z0-9]+)*)\s*[)\]]?\.?/i;

/** A row whose options can be named. */
interface Master {
  readonly code: string;
  readonly choices: readonly Pick<OptionMeaning, 'value'>[];
}

/**
 * Finds in a row's words on which other choice it depends, and gives the words without that. The code and all values must be ones of the table, else the words stay as they are.
 */
export function conditionIn(
  words: string,
  masters: readonly Master[],
): { readonly condition: RowCondition | null; readonly words: string } {
  const found = phrase.exec(words);
  const master = masters.find(({ code }) => code === found?.[1]);
  if (!found || !master) return { condition: null, words };
  const options = master.choices.map(({ value }) => value);
  const named = found[3]!
    .split(/\s*(?:,|\/|\bor\b|\band\b)\s*/i)
    .map((value) => options.find((option) => option.toLowerCase() === value.toLowerCase()));
  if (named.some((value) => value === undefined) || named.length === 0) return { condition: null, words };
  const not = /≠|<>|!=|not/i.test(found[2]!);
  const values = not
    ? options.filter((option) => !named.includes(option))
    : options.filter((o) => named.includes(o));
  if (values.length === 0) return { condition: null, words };
  return {
    condition: { code: master.code, values },
    words: words.replace(found[0], ' ').replace(/\s+/g, ' ').trim(),
  };
}
