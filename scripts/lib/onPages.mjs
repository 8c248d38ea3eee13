// Plays a program of e2e/ on the built pages, with a throw-away database and Chromium, as the end-to-end tests have them.
import { rmSync } from 'node:fs';
import { ensureBuilt } from './build.mjs';
import { ensureChromium } from './chromium.mjs';
import { ensurePackages } from './npm.mjs';
import { startCluster, throwAwayFolder } from './postgres.mjs';
import { root } from './project.mjs';
import { run } from './run.mjs';
import { orFail } from './say.mjs';

export async function playOnPages(program, ...args) {
  await orFail(ensurePackages);
  const chromium = await orFail(ensureChromium);
  await orFail(ensureBuilt);
  const folder = throwAwayFolder('pages');
  const cluster = await orFail(() => startCluster(folder));
  try {
    run(process.execPath, ['--import', 'tsx', '--conditions=brine-src', program, ...args], {
      cwd: root,
      env: { ...chromium.env, BRINE_TEST_DATABASE_URL: cluster.url, BRINE_CHROMIUM: chromium.program },
    });
  } finally {
    cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}
