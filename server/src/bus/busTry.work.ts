import { readPlaces } from '@brine/bus/exchange';
import type { DoWork } from '../work/kind.ts';
import type { TryWish } from './bus.service.ts';
import { keepAnswer } from './keepAnswer.ts';
import { onLine } from './onLine.ts';

/** Reads single registers over a line; the answer is kept as a file: what each held, or why it was not told. */
export const tryOverBus: DoWork = (means, work) =>
  onLine(means, work, async ({ line, device, progress }) => {
    const { places } = work.subject as TryWish;
    const answers = await readPlaces(line, device, places, progress);
    await keepAnswer(means, work, 'tried.json', { answers });
  });
