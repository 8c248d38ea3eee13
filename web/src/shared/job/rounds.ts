/** Work that is done again and again. */
export interface Rounds {
  /** Does it now; where it is being done, once more right after. */
  soon(): void;
  /** The round under way is the last. */
  stop(): void;
}

/**
 * Does a piece of work at once and then again and again, never two rounds at the same time, however often it is asked for.
 *
 * @param work what one round does; it must not fail
 * @param pause how long to wait until the next, ms; asked after each round
 */
export function rounds(work: () => Promise<void>, pause: () => number): Rounds {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isDoing = false;
  let again = false;
  let isOver = false;

  async function round(): Promise<void> {
    isDoing = true;
    await work();
    isDoing = false;
    if (isOver) return;
    timer = setTimeout(() => void round(), again ? 0 : pause());
    again = false;
  }
  void round();

  return {
    soon() {
      if (isDoing) again = true;
      else if (!isOver) {
        clearTimeout(timer);
        timer = setTimeout(() => void round(), 0);
      }
    },
    stop() {
      isOver = true;
      clearTimeout(timer);
    },
  };
}
