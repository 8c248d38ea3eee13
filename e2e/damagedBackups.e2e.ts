import { copyFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seeded } from '../core/testing/seeded.ts';
import { query } from './support/database.ts';
import { runProgram } from './support/program.ts';
import { startServer } from './support/server.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** Twenty ways a backup comes back from a disk that was not well. */
function damaged(whole: Buffer): readonly (readonly [string, Buffer])[] {
  const random = seeded(15);
  const cut = [0, 0.02, 0.1, 0.25, 0.5, 0.6, 0.75, 0.9, 0.95].map(
    (share) => [`cut at ${share * 100} %`, whole.subarray(0, Math.floor(whole.length * share))] as const,
  );
  const tails = [1, 20, 2048].map(
    (bytes) => [`without its last ${bytes} bytes`, whole.subarray(0, -bytes)] as const,
  );
  const flipped = Array.from({ length: 6 }, (_, i) => {
    const copy = Buffer.from(whole);
    const at = Math.floor(random() * copy.length);
    for (let k = at; k < Math.min(copy.length, at + 40); k += 1) copy[k] = Math.floor(random() * 256);
    return [`40 bytes overwritten at ${at} (${i})`, copy] as const;
  });
  const holes = [0.3, 0.8].map((share) => {
    const copy = Buffer.from(whole);
    copy.fill(0, Math.floor(copy.length * share), Math.floor(copy.length * share) + 4096);
    return [`4 kB of zeros at ${share * 100} %`, copy] as const;
  });
  return [...cut, ...tails, ...flipped, ...holes];
}

/** Counts of the tables a company would miss first. */
const COUNTS = `select (select count(*) from information_schema.tables where table_schema = 'public') as tables,
  (select count(*) from entry) as entries, (select count(*) from job) as jobs, (select count(*) from controller) as controllers`;

/** Restoring never leaves less than there was. */
export const damagedBackups: EndToEndTest = {
  name: 'twenty damaged backups, with and without their check file: none is put back half, none empties the database, and the safety copy is named',
  async run() {
    const folder = mkdtempSync(join(tmpdir(), 'brine-damaged-'));
    const server = await startServer();
    const env = { BRINE_HOME: folder };
    const to = ['--database-url', server.databaseUrl];
    try {
      const file = join(folder, 'whole.dump');
      expectSame((await runProgram('bin/backup', [...to, '--to', file], env)).code, 0, 'the backup');
      const under = await runProgram('bin/restore', [...to, '--from', file], env);
      expectSame(under.code, 1, 'a restore under a running server');
      expectHolds(under.stderr, 'in use by Brine Dial', 'a restore under a running server');
      await server.kill();
      const before = await query(server.databaseUrl, COUNTS);
      const broken = join(folder, 'broken.dump');
      const whole = readFileSync(file);
      for (const [name, bytes] of damaged(whole)) {
        writeFileSync(broken, bytes);
        rmSync(`${broken}.check.json`, { force: true });
        const bare = await runProgram('bin/restore', [...to, '--from', broken], env);
        copyFileSync(`${file}.check.json`, `${broken}.check.json`);
        const checked = await runProgram('bin/restore', [...to, '--from', broken], env);
        expectSame(checked.code, 1, `${name}, with its check file`);
        expectHolds(checked.stderr, 'stands as it was before', name);
        // Without the check file some damage changes no row that is counted; it must then be a whole restore or none.
        expectSame(
          await query(server.databaseUrl, COUNTS),
          before,
          `${name}: the database (restore ended with ${bare.code})`,
        );
      }
      // A dump that is sound and of something else: refused once it stands beside, with the copy named.
      const foreign = join(folder, 'foreign.dump');
      await query(server.databaseUrl, 'update migration set name = $$Migration9999Tomorrow$$ where id = 1');
      expectSame(
        (await runProgram('bin/backup', [...to, '--to', foreign], env)).code,
        0,
        'a backup of a newer one',
      );
      await query(
        server.databaseUrl,
        'update migration set name = $$Migration0001Foundations$$ where id = 1',
      );
      const newer = await runProgram('bin/restore', [...to, '--from', foreign], env);
      expectSame(newer.code, 1, 'a backup of a newer version');
      expectHolds(newer.stderr, 'newer Brine Dial', 'why');
      expectHolds(newer.stderr, 'A copy of it is in', 'the safety copy');
      expectSame(await query(server.databaseUrl, COUNTS), before, 'after the newer one');
      // And the sound one still goes in.
      expectSame((await runProgram('bin/restore', [...to, '--from', file], env)).code, 0, 'the sound backup');
      expectSame(await query(server.databaseUrl, COUNTS), before, 'after the sound one');
    } finally {
      await server.stop();
      rmSync(folder, { recursive: true, force: true });
    }
  },
};
