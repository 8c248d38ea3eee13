import type { Press } from '../definitions/index.ts';

/** Something done at a panel. `times` defaults to 1; a chord without `seconds` is a short press of several keys. */
export interface Act {
  readonly action: 'press' | 'hold' | 'chord' | 'wait' | 'power' | 'switch';
  readonly keys?: readonly string[];
  readonly times?: number;
  readonly seconds?: number;
  readonly holding?: readonly string[];
  readonly keep?: boolean;
  readonly to?: string;
}

/** Keys down together for some seconds; 0 is a short press. */
export interface Stroke {
  readonly keys: readonly string[];
  readonly seconds: number;
}

/** The stroke of a press, hold or chord, once. */
export function strokeOf(act: Act): Stroke {
  return { keys: act.keys ?? [], seconds: act.action === 'press' ? 0 : (act.seconds ?? 0) };
}

/**
 * How well a gesture fits a stroke: its seconds (0 for a short one), or null where it does not. Same keys; without `seconds` a short press
 * only, with `seconds` a hold at least that long. Where several fit, the largest counts.
 */
export function fit(press: Press, seconds: number | undefined, stroke: Stroke): number | null {
  if (!sameKeys(press, stroke.keys)) return null;
  if (seconds === undefined) return stroke.seconds === 0 ? 0 : null;
  return stroke.seconds >= seconds ? seconds : null;
}

/** True for a short press of exactly this key. */
export function isPress(stroke: Stroke, key: string | undefined): boolean {
  return key !== undefined && stroke.seconds === 0 && stroke.keys.length === 1 && stroke.keys[0] === key;
}

function sameKeys(press: Press, keys: readonly string[]): boolean {
  if (press === 'any') return keys.length === 1;
  const wanted = typeof press === 'string' ? [press] : press;
  return wanted.length === keys.length && wanted.every((key) => keys.includes(key));
}
