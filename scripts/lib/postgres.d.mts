/** What TypeScript programs use of `postgres.mjs`. */
export function startCluster(
  folder: string,
  options?: { readonly database?: string },
): Promise<{ readonly url: string; stop(): void }>;
export function throwAwayFolder(name: string): string;
