import { X509Certificate } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync, statSync, symlinkSync } from 'node:fs';
import { request as overHttps } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { seeText } from './support/acts.ts';
import { launch, newPage } from './support/browser.ts';
import { Caller } from './support/caller.ts';
import { interruptAll, runProgram, startProgram } from './support/program.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

/** The certificate that a server shows to somebody who trusts one authority alone; fails where it does not hold. */
const shown = (address: string, ca: string, servername: string) =>
  new Promise<string>((resolve, reject) => {
    const asked = overHttps(`${address}/health/live`, { ca, servername }, (answer) => {
      answer.resume();
      resolve(
        (answer.socket as unknown as { getPeerX509Certificate(): X509Certificate }).getPeerX509Certificate()
          .fingerprint256,
      );
    });
    asked.on('error', reject);
    asked.end();
  });

/** From `bin/start --lan` to a phone that trusts it. */
export const ownAuthority: EndToEndTest = {
  name: 'bin/start --lan makes an authority of its own: a phone fetches it over HTTP, trusts it, and the next start shows the same',
  async run() {
    const folder = mkdtempSync(join(tmpdir(), 'brine-phones-'));
    const unpacked = fileURLToPath(new URL('../.brine/debian', import.meta.url));
    if (existsSync(unpacked)) symlinkSync(unpacked, join(folder, 'debian'));
    const env = { BRINE_HOME: folder };
    const data = join(folder, 'cluster');
    const options = ['--lan', '--port', '0', '--trust-port', '0', '--data', data];
    try {
      const first = await startProgram(options, env);
      const page = /once each: http:\/\/\S+:(\d+)/.exec(first.output());
      const fingerprint = /\(SHA-256\):\n(\S+)/.exec(first.output())?.[1];
      expectSame(
        page === null || fingerprint === undefined,
        false,
        `what the terminal says: ${first.output()}`,
      );
      const trust = `http://127.0.0.1:${page![1]}`;

      // What the phone reads: the steps, the fingerprint of the terminal, and the certificate as a file of the kind it installs.
      const html = await (await fetch(trust)).text();
      expectHolds(html, 'Certificate Trust Settings', 'the steps for an iPhone');
      expectHolds(html, 'Install anyway', 'the steps for Android');
      const inGroups = fingerprint!.replaceAll(':', '').match(/.{1,4}/g)!;
      expectHolds(html, inGroups.slice(0, 4).join(' '), 'the fingerprint on the page');
      const file = await fetch(`${trust}/brine-dial.crt`);
      expectSame(file.headers.get('content-type'), 'application/x-x509-ca-cert', 'the kind of the file');
      const authority = new X509Certificate(Buffer.from(await file.arrayBuffer()));
      expectSame(authority.fingerprint256, fingerprint, 'the certificate fetched');
      expectSame((await fetch(`${trust}/authority-key.pem`)).status, 404, 'nothing else is served there');

      // The phone's own page notices when it trusts it.
      const { browser, close } = await launch();
      try {
        const phone = await newPage(browser, 'phone');
        await phone.goto(trust);
        await seeText(phone, 'does not trust it yet');
        await (await phone.createCDPSession()).send('Security.setIgnoreCertificateErrors', { ignore: true });
        await seeText(phone, '✓ This phone trusts it');
      } finally {
        await close();
      }

      // Who trusts it, and nobody else, reaches Brine Dial, by name and by address.
      const ca = authority.toString();
      const before = await shown(first.address, ca, 'localhost');
      await shown(first.address.replace('localhost', '127.0.0.1'), ca, '');
      const stranger = await new Caller(first.address).get('/health/live').then(
        () => '',
        (error: Error) => error.message,
      );
      expectHolds(stranger, 'certificate', 'who does not trust it is refused');

      // The page “Your account” tells the same.
      const caller = new Caller(first.address, Buffer.from(ca));
      await caller.post('/api/sign-in', { login: 'tess', password: PASSWORD, device: crypto.randomUUID() });
      const { phones } = JSON.parse((await caller.get('/api/phones')).body) as {
        phones: { address: string; trust: { page: string; fingerprint: string } };
      };
      expectSame(phones.trust.fingerprint, fingerprint, 'the fingerprint in the application');
      expectHolds(phones.address, 'https://', 'what the phone opens');
      await first.interrupt();

      for (const name of ['authority-key.pem', 'server-key.pem'])
        expectSame(
          (statSync(join(data, 'authority', name)).mode & 0o777).toString(8),
          '600',
          `${name} is for its owner`,
        );
      const second = await startProgram(options, env);
      expectSame(
        await shown(second.address, ca, 'localhost'),
        before,
        'the same certificate at the next start',
      );
      await second.interrupt();

      // A name that came later is beyond what the authority may sign for: said, not served with a certificate that phones refuse.
      const beyond = await runProgram(
        'bin/start',
        [...options, '--public-url', 'https://brine.example'],
        env,
      );
      expectSame(beyond.code, 1, 'a name it may not sign for');
      expectHolds(beyond.stderr, 'may not sign for brine.example', 'the sentence');
      expectSame(
        readFileSync(join(data, 'authority', 'authority.pem'), 'utf8').includes('BEGIN CERTIFICATE'),
        true,
        'it is still there',
      );
    } finally {
      await interruptAll();
      rmSync(folder, { recursive: true, force: true });
    }
  },
};
