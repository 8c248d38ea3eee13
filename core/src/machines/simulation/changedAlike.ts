import type { BoxParameters } from '../box/index.ts';

/** Numbers, alone, in lists and under names. */
type Numbers = number | readonly Numbers[] | { readonly [name: string]: Numbers };

/**
 * A learned box with what a run chooses otherwise than when it was learned (a curtain, a larger coil, heaters, an emptied box): each number changes by the factor by which the usual box's
 * changes. One that was not learned, and so is the usual, is the usual one now.
 *
 * @param was the usual box that it was learned against
 * @param is the usual box of the run
 */
export function changedAlike(learned: BoxParameters, was: BoxParameters, is: BoxParameters): BoxParameters {
  return alike(
    learned as unknown as Numbers,
    was as unknown as Numbers,
    is as unknown as Numbers,
  ) as unknown as BoxParameters;
}

// `Array.isArray` does not know a read-only list.
const isList = (of: Numbers): of is readonly Numbers[] => Array.isArray(of);

function alike(learned: Numbers, was: Numbers, is: Numbers): Numbers {
  if (typeof learned === 'number') {
    if (learned === was || was === 0) return is;
    return is === was ? learned : (learned * (is as number)) / (was as number);
  }
  if (isList(learned))
    return learned.map((one, i) =>
      alike(one, (was as readonly Numbers[])[i]!, (is as readonly Numbers[])[i]!),
    );
  const under = (of: Numbers, name: string) => (of as Readonly<Record<string, Numbers>>)[name]!;
  return Object.fromEntries(
    Object.entries(learned).map(([name, one]) => [name, alike(one, under(was, name), under(is, name))]),
  );
}
