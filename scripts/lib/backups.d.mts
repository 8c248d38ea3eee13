/** What TypeScript programs use of `backups.mjs`. */
export function knownMigrations(): readonly string[];
