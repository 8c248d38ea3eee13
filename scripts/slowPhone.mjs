// How soon pages are usable on a slow phone, against the bounds: `npm run slow-phone`.
import { rmSync } from 'node:fs';
import { ensureBuilt } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensurePackages } from './lib/npm.mjs';
import { startCluster, throwAwayFolder } from './lib/postgres.mjs';
import { root } from './lib/project.mjs';
import { run } from './lib/run.mjs';
import { orFail } from './lib/say.mjs';

await orFail(ensurePackages);
const chromium = await orFail(ensureChromium);
await orFail(ensureBuilt);
const folder = throwAwayFolder('slow-phone');
const cluster = await orFail(() => startCluster(folder));
try {
  run(process.execPath, ['--import', 'tsx', '--conditions=brine-src', 'e2e/slowPhone.ts'], {
    cwd: root,
    env: { ...chromium.env, BRINE_TEST_DATABASE_URL: cluster.url, BRINE_CHROMIUM: chromium.program },
  });
} finally {
  cluster.stop();
  rmSync(folder, { recursive: true, force: true });
}
