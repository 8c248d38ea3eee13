import { mkdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

/** The checkout, without a slash at the end. */
export const root = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '');

/** Where everything that is not in the repository goes: databases, unpacked packages, locks. */
export const homeFolder = process.env.BRINE_HOME ?? join(root, '.brine');

/** A folder below the home folder, made where it is missing. */
export function folder(...parts) {
  const path = join(homeFolder, ...parts);
  mkdirSync(path, { recursive: true });
  return path;
}
