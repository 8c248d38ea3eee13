import { ref, shallowRef } from 'vue';
import { numberOf } from '@brine/core/watching/characters';
import type { LampState } from '@brine/core/watching/course';
import type { WatchAnswer } from './watchMessages.ts';
import { sightId, type Sight } from './watchWords.ts';

/** A row of the log at most so often, in seconds, while a number stands. */
const ROW_EVERY = 10;
const MAX_ROWS = 50_000;
const MAX_TEXTS = 2_000;

/** A lamp on the front, named by whoever touched it. */
export interface WatchedLamp {
  readonly id: string;
  readonly name: string;
  readonly is: LampState['is'];
}

/** Something that was seen, at a moment of the clock in milliseconds. */
interface SeenAt {
  readonly sight: Sight;
  readonly at: number;
}

/** What was read since watching began, and who waits for something to be seen. `clockOf`: from seconds of a picture to milliseconds of the clock. */
export function seenSoFar(clockOf: (at: number) => number) {
  const lamps = ref<readonly WatchedLamp[]>([]);
  const texts = ref<readonly { readonly text: string; readonly at: number }[]>([]);
  const rows = shallowRef<readonly { readonly at: number; readonly value: number }[]>([]);
  /** In its menu a display shows values of codes: they are no readings of the air. */
  const inMenu = ref(false);
  /** Two sights may come with one picture: each is told to all who wait. */
  const waiting = new Set<(seen: SeenAt) => void>();
  const tell = (seen: SeenAt) => [...waiting].forEach((one) => one(seen));

  function take(got: WatchAnswer): void {
    if (got.changed) {
      const { text, since, plusMinus } = got.changed;
      texts.value = [...texts.value.slice(1 - MAX_TEXTS), { text, at: clockOf(since) }];
      // What stood there already, or came while nothing was read, began nobody knows when.
      if (plusMinus !== null) tell({ sight: { kind: 'text', text }, at: clockOf(since) });
    }
    for (const { id, is, since } of got.lamps) {
      const before = lamps.value.find((lamp) => lamp.id === id)?.is;
      lamps.value = lamps.value.map((lamp) => (lamp.id === id ? { ...lamp, is } : lamp));
      if (is !== 'notRead' && before !== 'notRead')
        tell({ sight: { kind: 'lamp', lamp: id, is }, at: clockOf(since) });
    }
    addRow(got);
  }

  function addRow(got: WatchAnswer): void {
    const value = got.text === null ? null : numberOf(got.text);
    const before = rows.value.at(-1);
    const at = clockOf(got.at);
    if (value === null || inMenu.value || rows.value.length >= MAX_ROWS) return;
    if (!before || at - before.at >= ROW_EVERY * 1000) rows.value = [...rows.value, { at, value }];
  }

  /** Calls once when a sight comes, with the moment; returns what calls it off. */
  function onSight(wanted: Sight, then: (at: number) => void): () => void {
    const one = ({ sight, at }: SeenAt) => {
      const matches = wanted.kind === 'change' ? sight.kind === 'text' : sightId(sight) === sightId(wanted);
      if (!matches) return;
      waiting.delete(one);
      then(at);
    };
    waiting.add(one);
    return () => waiting.delete(one);
  }

  function forget(): void {
    texts.value = [];
    rows.value = [];
  }

  return { lamps, texts, rows, inMenu, take, onSight, forget };
}
