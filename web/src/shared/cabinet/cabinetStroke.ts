/** One stroke in words: what comes before the keys, the keys, what comes after, what the display then shows; null where that goes without saying. */
export interface CabinetStroke {
  readonly before: string;
  readonly keys: readonly string[];
  readonly after: string;
  readonly shows: string | null;
  readonly say: string | null;
}
