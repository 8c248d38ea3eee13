import type { Correction, Parameter } from '@brine/core/controllers/definitions';
import { readTable } from '@brine/core/controllers/suggest';
import { rowKeys } from './rowKeys.ts';
import type { Writing } from './writing.ts';

/**
 * What a definition was written from, with a correction taken over: a version that is begun from it must not fall back behind what a display showed. The row's range is mended, an
 * option that the booklet does not print is added, a note is kept.
 *
 * @param before the parameter as it was
 */
export function correctedWriting(writing: Writing, before: Parameter, { parameter }: Correction): Writing {
  const { rows } = readTable(writing.text, writing.roles ?? undefined);
  const keys = rowKeys(rows);
  const key = keys.find((one, i) => (writing.mends[one]?.code ?? rows[i]!.code) === parameter.code);
  if (key === undefined) return writing;
  const { encoding, note } = parameter;
  const options = (of: Parameter) =>
    of.encoding.type === 'choice' ? of.encoding.options.map(({ value }) => String(value)) : [];
  const added = options(parameter).filter((value) => !options(before).includes(value));
  return {
    ...writing,
    ...(encoding.type === 'number' && {
      mends: {
        ...writing.mends,
        [key]: { ...writing.mends[key], min: String(encoding.min), max: String(encoding.max) },
      },
    }),
    ...(added.length > 0 && {
      added: { ...writing.added, [key]: [...(writing.added[key] ?? []), ...added] },
    }),
    ...(note !== undefined && note !== before.note && { notes: { ...writing.notes, [key]: note } }),
  };
}
