/** The first place in an ascending list that holds `value` or more; its length where none does. */
export function lowerBound(sorted: Float64Array, value: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! < value) low = middle + 1;
    else high = middle;
  }
  return low;
}
