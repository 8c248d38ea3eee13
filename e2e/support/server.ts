import { spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** The built server on a database of its own; can be killed and started again on the same port, as it happens in life. */
export interface TestServer {
  readonly base: string;
  readonly databaseUrl: string;
  /** What it printed at its last start. */
  output(): string;
  kill(): Promise<void>;
  start(): Promise<void>;
  stop(): Promise<void>;
}

/** Starts the server as production does, from its built files. */
export async function startServer(
  options: { demo?: boolean; port?: number; web?: string; databaseUrl?: string } = {},
): Promise<TestServer> {
  const admin = process.env['BRINE_TEST_DATABASE_URL'];
  if (!admin) throw new Error('BRINE_TEST_DATABASE_URL is not set: run bin/test');
  const { startedDatabase } = await import('./database.ts');
  const demo = options.demo !== false;
  const database =
    options.databaseUrl === undefined
      ? await startedDatabase(
          admin,
          `e2e_${randomBytes(6).toString('hex')}`,
          demo ? await loadedDemo() : undefined,
        )
      : { url: options.databaseUrl, drop: () => Promise.resolve() };
  let child: ChildProcess | null = null;
  let printed = '';
  let port = options.port ?? 0;

  async function start(): Promise<void> {
    printed = '';
    const process_ = spawn(process.execPath, ['server/dist/main.js'], {
      cwd: root,
      env: {
        ...process.env,
        BRINE_DATABASE_URL: database.url,
        BRINE_PORT: String(port),
        BRINE_DEMO: options.demo === false ? '0' : '1',
        BRINE_LOG: 'error',
        ...(options.web !== undefined && { BRINE_WEB: options.web }),
        BRINE_TLS_CERT: '',
        BRINE_TLS_KEY: '',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    child = process_;
    await new Promise<void>((resolve, reject) => {
      const timer = setTimeout(() => reject(new Error(`the server did not start:\n${printed}`)), 60_000);
      process_.stdout!.on('data', (chunk: Buffer) => {
        printed += chunk.toString();
        const ready = /READY (\S+)/.exec(printed);
        if (!ready) return;
        port = Number(new URL(ready[1]!).port);
        clearTimeout(timer);
        // Everything printed belongs to one write; give it the rest of this turn.
        setTimeout(resolve, 50);
      });
      process_.once('exit', (code) => reject(new Error(`the server ended with ${code}:\n${printed}`)));
    });
  }

  async function kill(): Promise<void> {
    const running = child;
    child = null;
    if (!running || running.exitCode !== null) return;
    await new Promise<void>((resolve) => {
      running.removeAllListeners('exit');
      running.once('exit', () => resolve());
      running.kill('SIGKILL');
    });
  }

  await start();
  return {
    get base() {
      return `http://127.0.0.1:${port}`;
    },
    databaseUrl: database.url,
    output: () => printed,
    kill,
    start,
    async stop() {
      await kill();
      await database.drop();
    },
  };
}

const TEMPLATE = 'e2e_demo';
let loading: Promise<string> | undefined;

/** The demo, loaded and summarised once for all tests: each plays on a copy of its own. */
function loadedDemo(): Promise<string> {
  loading ??= (async () => {
    const admin = process.env['BRINE_TEST_DATABASE_URL']!;
    const { startedDatabase, query } = await import('./database.ts');
    const { url } = await startedDatabase(admin, TEMPLATE);
    const server = await startServer({ databaseUrl: url });
    const waiting = 'select count(*)::int as n from job where summary_of < last_sequence';
    for (let i = 0; i < 600 && (await query(url, waiting))[0]!['n'] !== 0; i += 1)
      await new Promise((resolve) => setTimeout(resolve, 200));
    await server.kill();
    // The killed server's connections end a moment later.
    await query(
      admin,
      `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${TEMPLATE}' and pid <> pg_backend_pid()`,
    );
    return TEMPLATE;
  })();
  return loading;
}
