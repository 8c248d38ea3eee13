import type { AcceptedEntry, EntryBody } from '../src/record/entries/index.ts';

/** Entries of one device in their order, each accepted before the next was made. */
export function acceptedInOrder(bodies: readonly EntryBody[]): readonly AcceptedEntry[] {
  return bodies.map((body, i) => ({
    id: `e${i}`,
    job: 'j',
    device: 'd',
    deviceSequence: i + 1,
    deviceTime: '2026-03-01T08:00:00Z',
    seen: i,
    author: 'u',
    body,
    sequence: i + 1,
    receivedAt: '2026-03-01T08:00:00Z',
  }));
}
