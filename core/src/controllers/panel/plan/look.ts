import { menuOf } from '../machine.ts';
import type { Walker } from './walker.ts';

/** Reads the value under the cursor: opens it and steps out again without a change. Where the list shows values itself nothing is to be done. */
export function look(walker: Walker, code: string, say?: string): void {
  const { move, edit } = menuOf(walker.machine, walker.state);
  if ((edit?.starts ?? 'open') !== 'open' || move?.open === undefined) return;
  walker.pressOnce(move.open, { for: code, ...(say !== undefined && { say }) });
  const out = move.back ?? (edit?.take === 'move' ? undefined : edit?.take);
  if (out !== undefined) walker.pressOnce(out, { for: code });
}
