import { readFound, writeValues } from '@brine/bus/exchange';
import { writingOf } from '@brine/core/controllers/registers';
import type { DoWork } from '../work/kind.ts';
import type { WriteWish } from './bus.service.ts';
import { keepAnswer } from './keepAnswer.ts';
import { definitionFor } from './definitionFor.ts';
import { onLine } from './onLine.ts';

/**
 * Writes values over a line. What stands is read first, so that only what differs is written, and a writing that another server takes up anew writes nothing twice. The answer is kept as a
 * file: what became of each value, in the order in which they were asked for.
 */
export const writeOverBus: DoWork = (means, work) =>
  onLine(means, work, async ({ line, device, progress }) => {
    const definition = await definitionFor(means, work);
    const { values, display, atUnit } = work.subject as WriteWish;
    const found = await readFound(line, device, definition);
    const wanted = new Map(values.map(({ code, value }) => [code, value]));
    const { writes, notOverTheBus } = writingOf(definition, wanted, found.values, display);
    const became = await writeValues(line, device, definition, writes, found.values, display, progress);
    const byCode = new Map(became.map((one) => [one.code, one]));
    const left = new Map(notOverTheBus.map(({ code, why }) => [code, why]));
    await keepAnswer(means, work, 'written.json', {
      atUnit,
      written: values.map(({ code, value }) => {
        const why = left.get(code);
        if (why !== undefined)
          return { code, is: 'notWritten', value, why: `${code} has to be keyed: ${why}.` };
        // What stood already as it shall was not written: it stands.
        return byCode.get(code) ?? { code, is: 'written', value };
      }),
    });
  });
