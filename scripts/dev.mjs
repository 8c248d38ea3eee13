// For developers: the server from its sources, restarted on a change, and Vite in front of it.
import { start } from './lib/run.mjs';
import { freePort } from './lib/postgres.mjs';
import { root } from './lib/project.mjs';

const apiPort = await freePort();
const server = start(
  process.execPath,
  ['--watch', '--import', 'tsx', '--conditions=brine-src', 'server/src/main.ts'],
  {
    cwd: root,
    env: { ...process.env, BRINE_PORT: String(apiPort), BRINE_WEB: 'none' },
    stdio: 'inherit',
  },
);
const vite = start('npx', ['vite', '--port', process.env.BRINE_PORT, '--strictPort'], {
  cwd: `${root}/web`,
  env: { ...process.env, BRINE_API: `http://127.0.0.1:${apiPort}` },
  stdio: 'inherit',
});
const children = [server, vite];
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => children.forEach((child) => child.kill('SIGTERM')));
for (const child of children)
  child.on('exit', (code) => {
    children.forEach((other) => other.kill('SIGTERM'));
    process.exitCode = code ?? 0;
  });
