import { spawn, spawnSync } from 'node:child_process';

/** Runs a command to its end, output shown; throws with the command and code where it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { stdio: 'inherit', ...options });
  if (result.error) throw new Error(`${command}: ${result.error.message}`);
  if (result.status !== 0)
    throw new Error(`${command} ${args.join(' ')} ended with ${result.signal ?? result.status}`);
}

/** Runs a command and returns what it printed; null where it fails. */
export function read(command, args, options = {}) {
  const result = spawnSync(command, args, { encoding: 'utf8', ...options });
  return result.status === 0 ? result.stdout : null;
}

/** Starts a command that goes on. */
export function start(command, args, options = {}) {
  return spawn(command, args, options);
}

/** True where a command is on the PATH. */
export function has(command) {
  return spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;
}

export const isRoot = process.getuid?.() === 0;
