import { shown, type Faults } from './fault.ts';

/** Judges a gesture: keys that the panel has, and how long they are held. */
export function checkGesture(path: string, raw: unknown, keys: ReadonlySet<string>, faults: Faults): void {
  const gesture = faults.object(path, raw);
  if (!gesture) return;
  const { press, seconds } = gesture;
  if (press === undefined) return faults.add(`${path}.press`, 'expected a key, a list of keys, or any');
  for (const key of press === 'any' ? [] : [press].flat())
    if (!keys.has(key as string)) faults.add(`${path}.press`, `${shown(key)} is no key of this panel`);
  if (seconds !== undefined) faults.number(`${path}.seconds`, seconds, 'how long it is held, seconds');
}
