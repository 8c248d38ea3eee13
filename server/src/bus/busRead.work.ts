import { readFound } from '@brine/bus/exchange';
import type { DoWork } from '../work/kind.ts';
import { keepAnswer } from './keepAnswer.ts';
import { definitionFor } from './definitionFor.ts';
import { onLine } from './onLine.ts';

/** Reads all values of a controller over its line; the answer is kept as a file: values by code as the display shows them, and what could not be read, with why. */
export const readOverBus: DoWork = (means, work) =>
  onLine(means, work, async ({ line, device, progress }) => {
    const definition = await definitionFor(means, work);
    const { values, unread, requests } = await readFound(line, device, definition, progress);
    await keepAnswer(means, work, 'found.json', {
      values: [...values].map(([code, value]) => ({ code, value })),
      unread,
      requests,
    });
  });
