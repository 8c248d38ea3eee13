/** Which share of some cells passes a test; 0 of none. */
export function share(cells: readonly string[], test: (cell: string) => boolean): number {
  return cells.length === 0 ? 0 : cells.filter(test).length / cells.length;
}

/** How long they are in the mean, in letters. */
export function meanLength(cells: readonly string[]): number {
  return cells.reduce((sum, cell) => sum + cell.length, 0) / Math.max(1, cells.length);
}
