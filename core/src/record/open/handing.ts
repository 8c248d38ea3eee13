import { standing, type JobState } from '../fold/index.ts';
import type { Progress } from '../job/index.ts';
import type { OpenWork } from './openItems.ts';

/** How far a hand-over is: done once somebody has it, and whatever is open was said. */
export function handoverProgress(state: JobState, work: OpenWork): Progress {
  const over = standing(state, 'handedOver', 'handedOver');
  const { items, unanswered } = work;
  if (!over) return { words: items.length === 0 ? 'ready' : `${items.length} open`, done: false };
  const to = `to ${over.to || 'the site'}`;
  return unanswered.length === 0
    ? { words: items.length === 0 ? to : `${to}, ${items.length} left open`, done: true }
    : { words: `${to}, ${unanswered.length} open since`, done: false };
}
