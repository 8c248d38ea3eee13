let asked = false;

/** Asks the browser once to keep this site's data when room gets short. What it answers is its own affair. */
export function askToPersist(): void {
  if (asked) return;
  asked = true;
  // On plain http a browser has no such thing.
  if ('storage' in navigator) void navigator.storage.persist().catch(() => false);
}
