import { describe, expect, test } from '@jest/globals';
import { type Noted, notesIn } from './noted.ts';

const tab = () => {
  const held = new Map<string, string>();
  return {
    held,
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => void held.set(key, value),
    removeItem: (key: string) => void held.delete(key),
  };
};
const noted = (id: string): Noted => ({
  id,
  author: { id: 'tess', name: 'Tess' },
  job: 'j',
  seen: 3,
  body: { kind: 'found', code: 'Sn', value: '-3' },
  at: '2026-03-01T08:00:00.000Z',
});

describe('what was typed a moment ago', () => {
  test('is there for the next page of the tab, in the order typed, until it is forgotten', () => {
    const storage = tab();
    notesIn(storage, 'k').note([noted('a'), noted('b')]);
    notesIn(storage, 'k').note([noted('c')]);
    const next = notesIn(storage, 'k');
    expect(next.all()).toEqual([noted('a'), noted('b'), noted('c')]);
    for (const id of ['a', 'c']) next.forget(id);
    expect(next.all()).toEqual([noted('b')]);
    next.forget('b');
    expect(storage.held.size).toBe(0);
  });

  test('a browser that keeps nothing, and a note that is none, get in nobody’s way', () => {
    const full = {
      ...tab(),
      setItem: () => {
        throw new Error('QuotaExceededError');
      },
    };
    notesIn(full, 'k').note([noted('a')]);
    expect(notesIn(full, 'k').all()).toEqual([]);
    const torn = tab();
    torn.setItem('k', '[{"id":');
    expect(notesIn(torn, 'k').all()).toEqual([]);
  });
});
