/**
 * Does something for every item, so many at a time. Ends with the first error, or with the signal's reason once it is aborted; what is under way then ends by
 * itself.
 */
export async function sideBySide<Item>(
  lanes: number,
  items: readonly Item[],
  signal: AbortSignal,
  work: (item: Item, at: number) => Promise<void>,
): Promise<void> {
  let next = 0;
  let failed = false;
  const lane = async (): Promise<void> => {
    while (next < items.length && !failed) {
      signal.throwIfAborted();
      const at = next;
      next += 1;
      try {
        await work(items[at]!, at);
      } catch (error) {
        failed = true;
        throw error;
      }
    }
  };
  await Promise.all(Array.from({ length: Math.min(lanes, items.length) }, lane));
}
