import { noLineTroubles, noTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { serve } from '@brine/bus/standIn';
import { allSaved, byTest, choose, click, fill, seeText, signIn, textOf } from './support/acts.ts';
import { enterLine, openLines } from './support/lines.ts';
import { skerryDx } from './support/skerryDx.ts';
import { newPage } from './support/browser.ts';
import { ownFreezer } from './support/cabinet.ts';
import { query } from './support/database.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const control = skerryDx;

interface Keyed {
  readonly code: string;
  readonly state: string;
  readonly value: string | number;
  readonly shown?: string;
  readonly atUnit?: string;
  /** It was read, and not written. */
  readonly stood?: boolean;
}

export const overTheBus: EndToEndTest = {
  name: 'over the bus: a lead enters a line, a control of 42 codes is read as found, planned and written; one value that is clamped and one that a lock refuses stay open, and the record says who stood at the unit',
  run: () =>
    onStage(async (stage) => {
      const { server, browser } = stage;
      const lockedCodes: string[] = [];
      const clamps = new Map<string, readonly [number, number]>();
      const device = new StandInDevice(control, new Map(), { ...noTroubles, lockedCodes, clamps });
      const serving = await serve(device, {
        host: '127.0.0.1',
        port: 0,
        unit: 7,
        speed: 1,
        line: { ...noLineTroubles, slow: 30 },
      });
      try {
        const job = await ownFreezer(stage, true, 'Skerry DX');
        const lead = await newPage(await browser.createBrowserContext());
        await signIn(lead, server.base, 'lena', PASSWORD);
        await openLines(lead, server.base, 'Own quay');
        await fill(lead, byTest('line-name'), 'Plant room');
        await fill(lead, byTest('line-host'), 'not an address');
        await fill(lead, byTest('line-port'), String(serving.port));
        await click(lead, byTest('line-enter'));
        await seeText(lead, 'host: expected an address such as');
        await enterLine(lead, 'Plant room', serving.port);

        const desk = await newPage(await browser.createBrowserContext());
        await signIn(desk, server.base, 'tess', PASSWORD);
        await desk.goto(`${server.base}/jobs/${job}/survey`, { waitUntil: 'networkidle0' });
        await choose(desk, byTest('control-old'), 'Skerry DX');
        await click(desk, byTest('read-by-bus'));
        await fill(desk, byTest('bus-device'), '9');
        await click(desk, byTest('bus-read'));
        await seeText(desk, 'Device 9 does not answer.');
        await fill(desk, byTest('bus-device'), '7');
        await click(desk, byTest('bus-read'));
        await seeText(desk, '42 values read in');
        await allSaved(desk);
        const found = await query(
          server.databaseUrl,
          `select body from entry where job_id = '${job}' and body->>'kind' = 'found'`,
        );
        const values = found.map(({ body }) => body as { code: string; value: string; over: string });
        expectSame(
          values.map(({ code, value, over }) => [code, value, over]).sort(),
          [...device.memory].map(([code, value]) => [code, String(value), 'bus']).sort(),
          'as found is what the machine holds',
        );

        await desk.goto(`${server.base}/jobs/${job}/program/cabinet`, { waitUntil: 'networkidle0' });
        await click(desk, byTest('write-by-bus'));
        await click(desk, byTest('bus-look'));
        await desk.waitForSelector(byTest('bus-plan'));
        const codes = await desk.$$eval(`${byTest('bus-plan')} li code`, (cells) =>
          cells.map((cell) => cell.textContent!.trim()),
        );
        expectSame(codes.length >= 12, true, `at least 12 values are to be written, ${codes.length} are`);
        expectHolds(
          await textOf(desk, byTest('bus-warnings')),
          'A compressor may start at once',
          'the caution',
        );
        expectSame(
          await desk.$eval(byTest('bus-write'), (button) => (button as HTMLButtonElement).disabled),
          true,
          'nothing is written before somebody at the unit said so',
        );
        // The device does otherwise than its booklet says: the set point stops at 0 °C, and one more code is locked.
        clamps.set('t1', [0, 10]);
        const locked = codes.find((code) => code !== 't1' && !code.startsWith('p'))!;
        lockedCodes.push(locked);
        await fill(desk, byTest('bus-at-unit'), 'Una');
        await click(desk, byTest('bus-may'));
        await click(desk, byTest('bus-write'));
        // The page goes away in the middle of it: what was written is told by the next one, and is in the record.
        await desk.waitForSelector(byTest('bus-stop'));
        await desk.reload({ waitUntil: 'networkidle0' });
        await seeText(desk, `${codes.length - 2} of ${codes.length} written and read back. 2 stay open.`);
        expectHolds(await textOf(desk, byTest('became-otherwise')), 't1', 'the clamped one');
        expectHolds(await textOf(desk, byTest('became-refused')), locked, 'the locked one');
        await allSaved(desk);

        const settled = (
          await query(
            server.databaseUrl,
            `select body from entry where job_id = '${job}' and body->>'kind' = 'keyed' and body->>'over' = 'bus'`,
          )
        ).map(({ body }) => body as Keyed);
        for (const { code, value } of settled.filter(({ stood }) => stood))
          expectSame(device.memory.get(code), value, `${code} stood there already`);
        const keyed = settled.filter(({ stood }) => !stood);
        expectSame(keyed.map(({ code }) => code).sort(), [...codes].sort(), 'every value has its entry');
        for (const { code, state, value, shown, atUnit } of keyed) {
          const isOpen = code === 't1' || code === locked;
          expectSame([state, atUnit], [isOpen ? 'showsElse' : 'keyed', 'Una'], `what became of ${code}`);
          // The record is true: what it says stands is what the machine holds.
          expectSame(String(device.memory.get(code)), String(isOpen ? shown : value), `what ${code} holds`);
        }
        // Read again: the two are left, and nothing else.
        await click(desk, byTest('bus-look'));
        await desk.waitForFunction(
          (at) => document.querySelectorAll(`${at} li`).length === 2,
          {},
          byTest('bus-plan'),
        );
      } finally {
        await serving.close();
      }
    }),
};
