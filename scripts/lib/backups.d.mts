/** What TypeScript programs use of `backups.mjs`. */
export function knownMigrations(): readonly string[];

/** The schema of the queue, which no backup holds. */
export const QUEUE_SCHEMA: string;
