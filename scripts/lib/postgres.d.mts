/** What TypeScript programs use of `postgres.mjs`. */
export interface Cluster {
  readonly url: string;
  readonly home: string;
  readonly log: string;
  alive(): boolean;
  restart(): boolean;
  stop(): void;
}
export function startCluster(folder: string, options?: { readonly database?: string }): Promise<Cluster>;
export function throwAwayFolder(name: string): string;
export function freePort(): Promise<number>;
