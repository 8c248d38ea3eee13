import { parentPort } from 'node:worker_threads';
import { reviewUnit, type UnitToReview } from './unitReview.ts';

/** A thread of the pool: a unit in, its judgement or a problem out. */
parentPort!.on('message', ({ id, unit }: { id: number; unit: UnitToReview }) => {
  try {
    parentPort!.postMessage({ id, judged: reviewUnit(unit) });
  } catch (error) {
    parentPort!.postMessage({ id, problem: error instanceof Error ? error.message : String(error) });
  }
});
