import { readFound } from '@brine/bus/exchange';
import type { DoWork } from '../work/kind.ts';
import { keepAnswer } from './keepAnswer.ts';
import { onLine } from './onLine.ts';

/** Reads all values of a controller over its line; the answer is kept as a file: values by code as the display shows them, and what could not be read, with why. */
export const readOverBus: DoWork = (means, work) =>
  onLine(means, work, async (line, definition, { device }) => {
    const { database, now } = means;
    const found = await readFound(line, device, definition, (done, of) => {
      void database
        .transaction((repositories) => repositories.work.progress(work.id, work.runner, done, of))
        .catch(() => undefined);
    });
    await keepAnswer(means, work, 'found.json', {
      at: now().toISOString(),
      values: [...found.values].map(([code, value]) => ({ code, value })),
      unread: found.unread,
      requests: found.requests,
    });
  });
