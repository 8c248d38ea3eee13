import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { added, conflictsOf, fold, standing } from './fold.ts';
import type { AcceptedEntry, Entry, EntryBody } from '../entries/index.ts';

let counter = 0;
function entry(device: string, deviceSequence: number, seen: number, body: EntryBody): Entry {
  counter += 1;
  return {
    id: `e${counter}`,
    job: 'j',
    device,
    deviceSequence,
    deviceTime: '2026-03-01T08:00:00Z',
    seen,
    author: `user of ${device}`,
    body,
  };
}
const accepted = (e: Entry, sequence: number): AcceptedEntry => ({
  ...e,
  sequence,
  receivedAt: '2026-03-01T08:00:01Z',
});
const found = (value: string): EntryBody => ({ kind: 'found', code: 'gap', value });
const gap = (state: ReturnType<typeof fold>) => standing(state, 'found:gap', 'found')?.value;

describe('a stream of entries', () => {
  test('folds by the server’s sequence, never by the order or clock of devices', () => {
    const first = accepted({ ...entry('a', 1, 0, found('2')), deviceTime: '2030-01-01T00:00:00Z' }, 1);
    const second = accepted(entry('b', 1, 1, found('5')), 2);
    expect(gap(fold([second, first]))).toBe('5');
  });

  test('two values that had not seen each other are a conflict, and both stand', () => {
    const state = fold([
      accepted(entry('a', 1, 0, found('2')), 1),
      accepted(entry('b', 1, 0, found('5')), 2),
    ]);
    expect(
      conflictsOf(state).map((c) => c.heads.map((h) => (h.entry.body as { value: string }).value)),
    ).toEqual([['2', '5']]);
  });

  test('a value that has seen both settles it', () => {
    const state = fold([
      accepted(entry('a', 1, 0, found('2')), 1),
      accepted(entry('b', 1, 0, found('5')), 2),
      accepted(entry('a', 2, 2, found('5')), 3),
    ]);
    expect(conflictsOf(state)).toEqual([]);
    expect(gap(state)).toBe('5');
  });

  test('equal values are no conflict', () => {
    expect(
      conflictsOf(
        fold([accepted(entry('a', 1, 0, found('5')), 1), accepted(entry('b', 1, 0, found('5')), 2)]),
      ),
    ).toEqual([]);
  });

  test('a device knows its own values, sent or not', () => {
    const sent = accepted(entry('a', 1, 0, found('2')), 1);
    const state = fold([sent], [entry('a', 2, 0, found('3'))]);
    expect(gap(state)).toBe('3');
    expect(conflictsOf(state)).toEqual([]);
  });

  test('a pending entry that was accepted meanwhile counts once', () => {
    const one = entry('a', 1, 0, { kind: 'note', text: 'ice on the fan guard' });
    expect(added(fold([accepted(one, 1)], [one]), 'note')).toHaveLength(1);
  });

  test('an entry sent again out of order does not bring an old value back', () => {
    const old = entry('a', 1, 0, found('2'));
    const recent = entry('a', 2, 0, found('3'));
    expect(gap(fold([accepted(recent, 1), accepted(old, 2)]))).toBe('3');
  });

  test('a deleted value is an entry too', () => {
    const state = fold([
      accepted(entry('a', 1, 0, found('2')), 1),
      accepted(entry('a', 2, 1, { kind: 'found', code: 'gap', value: null }), 2),
    ]);
    expect(gap(state)).toBeNull();
  });

  test('property: any interleaving keeps per-device order, loses no unseen value, and a last writer who saw all leaves one head', () => {
    const typed = fc.record({
      device: fc.constantFrom('a', 'b', 'c'),
      value: fc.constantFrom('1', '2', '3'),
      lag: fc.nat(3),
    });
    fc.assert(
      fc.property(fc.array(typed, { minLength: 1, maxLength: 12 }), (writes) => {
        const own = new Map<string, number>();
        const stream = writes.map(({ device, value, lag }, i) => {
          const deviceSequence = (own.get(device) ?? 0) + 1;
          own.set(device, deviceSequence);
          return accepted(entry(device, deviceSequence, Math.max(0, i - lag), found(value)), i + 1);
        });
        // Naive model: an entry stands unless a later one was made by its device or had seen it.
        const survivors = stream.filter(
          (e, i) =>
            !stream.slice(i + 1).some((later) => later.device === e.device || later.seen >= e.sequence),
        );
        const state = fold(stream);
        expect(state.registers.get('found:gap')!.map((h) => h.entry.id)).toEqual(survivors.map((e) => e.id));
        const settled = fold([
          ...stream,
          accepted(entry('d', 1, stream.length, found('9')), stream.length + 1),
        ]);
        expect(settled.registers.get('found:gap')).toHaveLength(1);
      }),
      { seed: 11, numRuns: 400 },
    );
  });
});
