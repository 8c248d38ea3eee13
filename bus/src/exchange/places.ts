import type { RegisterPlace } from '@brine/core/controllers/registers';
import type { Master } from '../line/index.ts';
import { readAll, type Progress } from './readFound.ts';

/** Reads single words and bits, whatever they mean: what each holds, or why that is not told. Throws `LineFailure` where nothing answers. */
export async function readPlaces(
  line: Master,
  unit: number,
  places: readonly RegisterPlace[],
  progress: Progress = () => undefined,
): Promise<readonly (RegisterPlace & { readonly is: number | string })[]> {
  const answers: (RegisterPlace & { readonly is: number | string })[] = [];
  const registers = places.map(({ table, address }) => ({
    function: table,
    address,
    type: table <= 2 ? ('bit' as const) : ('uint16' as const),
  }));
  await readAll(
    line,
    unit,
    registers,
    ({ function: table, address }, words) =>
      answers.push({
        table: table as RegisterPlace['table'],
        address,
        is: typeof words === 'string' ? words : words[0]!,
      }),
    progress,
  );
  return answers;
}
