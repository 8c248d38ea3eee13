/** Builds the application unless what is built is newer than every source. */
export function ensureBuilt(): void;
