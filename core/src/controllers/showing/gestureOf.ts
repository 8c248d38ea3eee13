import type { Gesture } from '../definitions/index.ts';
import type { Act } from '../panel/index.ts';

/** A key press as a menu names it; null for what is none. */
export function gestureOf(act: Act): Gesture | null {
  const keys = act.keys ?? [];
  if (keys.length === 0 || act.action === 'wait' || act.action === 'power' || act.action === 'switch')
    return null;
  return { press: keys.length === 1 ? keys[0]! : keys, ...(act.seconds && { seconds: act.seconds }) };
}
