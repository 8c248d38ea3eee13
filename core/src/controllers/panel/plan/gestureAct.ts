import type { Gesture, Panel } from '../../definitions/index.ts';
import type { Act } from '../act.ts';

/** The act that a gesture asks for, held no longer than it must be; for “any” key the first one. */
export function gestureAct(panel: Panel, gesture: Gesture): Act {
  const { press, seconds } = gesture;
  const keys = press === 'any' ? [panel.keys[0]!.id] : typeof press === 'string' ? [press] : press;
  if (keys.length > 1) return { action: 'chord', keys, ...(seconds !== undefined && { seconds }) };
  return seconds === undefined ? { action: 'press', keys } : { action: 'hold', keys, seconds };
}
