import { setTimeout as pause } from 'node:timers/promises';
import { readReadings } from '@brine/bus/exchange';
import { LineFailure } from '@brine/bus/line';
import type { DoWork } from '../work/kind.ts';
import { definitionFor } from './definitionFor.ts';
import type { FollowWish } from './follow.service.ts';
import { onLine } from './onLine.ts';

/** So long, ms, the line is left to whoever waits for it. */
const WAY_MS = 1500;

/**
 * Follows a controller: its readings are asked for every second or so, and kept, until the time is over or somebody stops it. Where another piece of work waits for the line it is given
 * way. A controller that does not answer is asked on: that is how a power cut looks.
 */
export const followOverBus: DoWork = async (means, work) => {
  const { database, now } = means;
  const wish = work.subject as FollowWish;
  const definition = await definitionFor(means, work);
  const [from, until] = [Date.parse(wish.from), Date.parse(wish.until)];
  // From here on by a clock that nobody sets: points stay in order, and a second is one.
  const [base, began] = [now().getTime(), performance.now()];
  const passed = () => new Date(base + performance.now() - began);
  const isOver = () => passed().getTime() >= until;
  while (!isOver()) {
    await onLine(means, work, async ({ line, device, progress }) => {
      for (let isWanted = false; !isWanted && !isOver();) {
        const asked = performance.now();
        const readings = await readReadings(line, device, definition).catch((error: unknown) => {
          work.signal.throwIfAborted();
          if (error instanceof LineFailure && error.kind !== 'stopped') return null;
          throw error;
        });
        const at = passed();
        isWanted = await database.transaction(async ({ busPoints, busLines }) => {
          await busPoints.add(work.id, { at, readings });
          return busLines.isWanted(wish.line);
        });
        progress(Math.round((at.getTime() - from) / 1000), Math.round((until - from) / 1000));
        const rest = wish.every * 1000 - (performance.now() - asked);
        if (!isWanted) await pause(Math.max(0, rest), undefined, { signal: work.signal });
      }
    });
    if (!isOver()) await pause(WAY_MS, undefined, { signal: work.signal });
  }
};
