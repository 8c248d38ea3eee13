import { sameCodeValue, type CodeValue } from '@brine/core/controllers/definitions';
import { doubtful, type MayBe } from '@brine/core/controllers/interrupted';
import type { Wish } from '@brine/core/controllers/panel';

/** What the readings came to. */
export interface Outcome {
  /** Codes said to stand, or under hand, that do. */
  readonly kept: readonly string[];
  /** Of these the one that was under hand: it is ticked now. */
  readonly stands: readonly string[];
  /** Codes to be keyed anew. */
  readonly lost: readonly string[];
}

/** What stands after the readings: what was read so, and of the rest what every memory that is left holds. What the others may hold otherwise is keyed anew. */
export function settledBy({
  done,
  under,
  left,
  taken,
}: {
  readonly done: readonly Wish[];
  readonly under: Wish | null;
  readonly left: readonly MayBe[];
  readonly taken: readonly { readonly code: string; readonly value: CodeValue }[];
}): Outcome {
  const read = new Map(taken.map(({ code, value }) => [code, value]));
  const all = under ? [...done, under] : done;
  const notSure = new Set(doubtful(all, left));
  const stands = ({ code, value }: Wish) => {
    const seen = read.get(code);
    return seen === undefined ? !notSure.has(code) : sameCodeValue(seen, value);
  };
  const isDone = new Set(done.map(({ code }) => code));
  const kept = all.filter(stands).map(({ code }) => code);
  return {
    kept,
    stands: kept.filter((code) => !isDone.has(code)),
    lost: done.flatMap((wish) => (stands(wish) ? [] : [wish.code])),
  };
}
