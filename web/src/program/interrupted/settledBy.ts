import { sameCodeValue, type CodeValue } from '@brine/core/controllers/definitions';
import { doubtful, undecided, type MayBe } from '@brine/core/controllers/interrupted';
import type { Wish } from '@brine/core/controllers/panel';

/** What the readings came to. */
export interface Outcome {
  /** Codes said to stand, or under hand, that do. */
  readonly kept: readonly string[];
  /** Of these the one that was under hand, where a reading told: it is ticked now. One that stands by the booklet’s factory value alone was seen by nobody. */
  readonly stands: readonly string[];
  /** Codes to be keyed anew. */
  readonly lost: readonly string[];
  /** Of these the ones of which no display can tell. */
  readonly untold: readonly string[];
}

/** What stands after the readings: what was read so, and of the rest what every memory that is left holds. What the others may hold otherwise is keyed anew. */
export function settledBy({
  done,
  under,
  memories,
  left,
  taken,
}: {
  readonly done: readonly Wish[];
  readonly under: Wish | null;
  /** All that the control may have held, and what is left of it. */
  readonly memories: readonly MayBe[];
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
  const wasSeen = under !== null && (read.has(under.code) || doubtful([under], memories).length > 0);
  const taking = under !== null && wasSeen && stands(under) ? [under.code] : [];
  const lost = done.flatMap((wish) => (stands(wish) ? [] : [wish.code]));
  const untold = new Set(undecided(left));
  return {
    kept: [...done.filter(stands).map(({ code }) => code), ...taking],
    stands: taking,
    lost,
    untold: lost.filter((code) => untold.has(code) && !read.has(code)),
  };
}
