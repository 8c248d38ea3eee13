import { readFound, writeValues } from '@brine/bus/exchange';
import { writingOf } from '@brine/core/controllers/registers';
import type { DoWork } from '../work/kind.ts';
import type { WriteWish } from './bus.service.ts';
import { keepAnswer } from './keepAnswer.ts';
import { onLine } from './onLine.ts';

/**
 * Writes values over a line. What stands is read first, so that only what differs is written, and a writing that another server takes up anew writes nothing twice. The answer is kept as a
 * file: what became of each value.
 */
export const writeOverBus: DoWork = (means, work) =>
  onLine(means, work, async (line, definition, { device }) => {
    const { database, now } = means;
    const { values, atUnit } = work.subject as WriteWish;
    const found = await readFound(line, device, definition);
    const wanted = new Map(values.map(({ code, value }) => [code, value]));
    const { writes, notOverTheBus } = writingOf(definition, wanted, found.values);
    const written = await writeValues(line, device, definition, writes, found.values, (done, of) => {
      void database
        .transaction((repositories) => repositories.work.progress(work.id, work.runner, done, of))
        .catch(() => undefined);
    });
    const told = new Set([...writes, ...notOverTheBus].map(({ code }) => code));
    const oldOf = new Map(writes.map(({ code, old }) => [code, old]));
    const stood = values.filter(({ code }) => !told.has(code));
    await keepAnswer(means, work, 'written.json', {
      at: now().toISOString(),
      atUnit,
      written: [
        ...stood.map(({ code, value }) => ({ code, is: 'written' as const, value })),
        ...written.map((one) => ({ ...one, old: oldOf.get(one.code) ?? null })),
      ],
      notOverTheBus,
    });
  });
