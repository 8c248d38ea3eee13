/** Columns in order of time, each time once. */
export interface InOrder {
  readonly time: Float64Array;
  readonly columns: readonly Float64Array[];
  readonly duplicates: number;
  readonly unsorted: number;
}

/**
 * Sorts rows by time and keeps the last of those that share one. A file already in order is passed on as it is, uncopied. `unsorted` counts rows
 * that stood before an earlier one.
 */
export function inOrder(time: Float64Array, columns: readonly Float64Array[]): InOrder {
  let unsorted = 0;
  let duplicates = 0;
  for (let i = 1; i < time.length; i += 1) {
    if (time[i]! < time[i - 1]!) unsorted += 1;
    else if (time[i] === time[i - 1]) duplicates += 1;
  }
  if (unsorted === 0 && duplicates === 0) return { time, columns, duplicates, unsorted };
  const order = Uint32Array.from(time, (_, i) => i);
  if (unsorted > 0) order.sort((a, b) => time[a]! - time[b]! || a - b);
  const kept: number[] = [];
  for (let i = 0; i < order.length; i += 1)
    if (i + 1 === order.length || time[order[i + 1]!] !== time[order[i]!]) kept.push(order[i]!);
  const pick = (column: Float64Array) => Float64Array.from(kept, (at) => column[at]!);
  return { time: pick(time), columns: columns.map(pick), duplicates: time.length - kept.length, unsorted };
}
