#!/usr/bin/env node
// `npx brine …` works in a fresh checkout as well as after a build: it runs the built files where they are newer than the sources,
// else the sources themselves.
import { spawnSync } from 'node:child_process';
import { readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));

function newest(folder) {
  let time = 0;
  for (const item of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, item.name);
    time = Math.max(time, item.isDirectory() ? newest(path) : statSync(path).mtimeMs);
  }
  return time;
}

function buildTime() {
  try {
    return Math.min(...['core', 'bus', 'cli'].map((room) => newest(join(root, room, 'dist'))));
  } catch {
    return 0; // Never built.
  }
}

const built =
  buildTime() > Math.max(...['core', 'bus', 'cli'].map((room) => newest(join(root, room, 'src'))));
if (built) {
  await import('../dist/main.js');
} else {
  const args = [
    '--import',
    import.meta.resolve('tsx'),
    '--conditions=brine-src',
    join(root, 'cli/src/main.ts'),
    ...process.argv.slice(2),
  ];
  const { status, signal } = spawnSync(process.execPath, args, { stdio: 'inherit' });
  process.exitCode = signal ? 1 : (status ?? 1);
}
