import type { CodeValues } from '@brine/core/controllers/definitions';
import { noLineTroubles, noTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { serve, type Serving } from '@brine/bus/standIn';
import { allSaved, byTest, choose, click, clickText, fill, signIn, textOf } from './support/acts.ts';
import { enterLine, openLines } from './support/lines.ts';
import { skerryDx } from './support/skerryDx.ts';
import { newPage } from './support/browser.ts';
import { ownFreezer } from './support/cabinet.ts';
import { query } from './support/database.ts';
import { onStage } from './support/stage.ts';
import { PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const control = skerryDx;
/** Drain and fan delay as they are set by hand here, s: short, since they are waited for. */
const [DRAIN, FAN_DELAY] = [30, 20];
const MOST_HOURS = 30;

const served = (device: StandInDevice) =>
  serve(device, { host: '127.0.0.1', port: 0, unit: 7, speed: 1, line: noLineTroubles });

/** The first defrost of a unit that is set so, as a run of its own does it: seconds from the start to its beginning, its end, the compressor and the fans. */
function firstDefrost(memory: CodeValues): Readonly<Record<'begins' | 'ends' | 'cools' | 'blows', number>> {
  const twin = new StandInDevice(control, memory, noTroubles);
  let second = 0;
  const until = (is: (readings: NonNullable<typeof twin.readings>) => boolean): number => {
    while (!is(twin.readings!)) {
      if (second > MOST_HOURS * 3600) throw new Error('no defrost');
      twin.pass(1);
      second += 1;
    }
    return second;
  };
  const begins = until(({ defrost }) => defrost);
  const ends = until(({ defrost }) => !defrost);
  const cools = until(({ compressor }) => compressor);
  return { begins, ends, cools, blows: until(({ fan }) => fan) };
}

export const followed: EndToEndTest = {
  name: 'followed over the bus: a defrost ends, drains and starts its fans, measured by themselves; the tests that this answers are taken, and the control that dies in the middle is told as silent',
  run: () =>
    onStage(async (stage) => {
      const { server, browser } = stage;
      const open: Serving[] = [];
      try {
        const job = await ownFreezer(stage, true, 'Skerry DX');
        const first = new StandInDevice(control, new Map(), noTroubles);
        open.push(await served(first));
        const lead = await newPage(await browser.createBrowserContext());
        await signIn(lead, server.base, 'lena', PASSWORD);
        await openLines(lead, server.base, 'Own quay');
        await enterLine(lead, 'First', open[0]!.port);

        // The plan is written into the control, with a drain and a fan delay that are short enough to be waited for.
        const page = await newPage(browser);
        await signIn(page, server.base, 'tess', PASSWORD);
        await page.goto(`${server.base}/jobs/${job}/program/plan`, { waitUntil: 'networkidle0' });
        await clickText(page, `${byTest('plan-which')} [role="radio"]`, 'All codes');
        for (const [code, value] of [
          ['i7', DRAIN],
          ['a5', FAN_DELAY],
        ] as const)
          await fill(page, `[data-all-code="${code}"] input`, String(value));
        await allSaved(page);
        await page.goto(`${server.base}/jobs/${job}/program/cabinet`, { waitUntil: 'networkidle0' });
        await click(page, byTest('write-by-bus'));
        await fill(page, byTest('bus-device'), '7');
        await click(page, byTest('bus-look'));
        await page.waitForSelector(byTest('bus-plan'));
        await fill(page, byTest('bus-at-unit'), 'Una');
        await click(page, byTest('bus-may'));
        await click(page, byTest('bus-write'));
        await page.waitForSelector(byTest('bus-written'));
        expectSame([first.memory.get('i7'), first.memory.get('a5')], [DRAIN, FAN_DELAY], 'what is set');

        // The same control, some seconds before its first defrost.
        const { begins, ends, cools, blows } = firstDefrost(first.memory);
        const device = new StandInDevice(control, first.memory, noTroubles);
        device.pass(begins - 12);
        const serving = await served(device);
        open.push(serving);
        await enterLine(lead, 'Second', serving.port);

        await page.goto(`${server.base}/jobs/${job}/prove/follow`, { waitUntil: 'networkidle0' });
        await choose(page, byTest('bus-line'), 'Second');
        await fill(page, byTest('bus-device'), '7');
        await click(page, byTest('follow-start'));
        await page.waitForSelector(byTest('follow-now'));
        await page.waitForFunction(
          (at) => /Defrost\s*● on/.test(document.querySelector<HTMLElement>(at)?.innerText ?? ''),
          {},
          byTest('follow-now'),
        );
        // The ice melts meanwhile.
        device.pass(Math.max(0, ends - begins - 20));
        const measured = (kind: string) => `[data-measured="${kind}"]`;
        await page.waitForSelector(measured('fanDelay'), { timeout: 180_000 });
        const seconds = async (kind: string) => {
          const [, minutes = '0', rest, unit] = /(?:(\d+):)?(\d+) (s|min) ±/.exec(
            await textOf(page, measured(kind)),
          )!;
          // "30 s", "1:15 min", "2 min".
          return unit === 'min' && minutes === '0' ? 60 * Number(rest) : 60 * Number(minutes) + Number(rest);
        };
        for (const [kind, set] of [
          ['drain', cools - ends],
          ['fanDelay', blows - cools],
        ] as const) {
          const found = await seconds(kind);
          expectSame(
            Math.abs(found - set) <= 3,
            true,
            `${kind}: ${found} s measured, ${set} s by the machine`,
          );
        }
        expectHolds(await textOf(page, byTest('follow-tests')), 'would be ✓ passed', 'tests that it answers');
        await click(page, byTest('take-all-followed'));
        await allSaved(page);
        const tests = (
          await query(
            server.databaseUrl,
            `select body from entry where job_id = '${job}' and body->>'kind' = 'test'`,
          )
        ).map(({ body }) => body as { test: string; result: string; value: number; word: string });
        const drain = tests.find(({ test }) => test === 'defrost.drain')!;
        expectSame(
          [drain.result, Math.abs(drain.value * 60 - DRAIN) <= 3],
          ['passed', true],
          'the drain in the record',
        );
        expectHolds(drain.word, 'measured over the bus', 'how it was measured');

        // It dies: what it told stays, and nothing is made up.
        await serving.close();
        await page.waitForSelector(byTest('follow-silent'));
        await click(page, byTest('follow-stop'));
        await page.waitForSelector(byTest('follow-start'));
        await clickText(page, '[role="radio"]', 'Log');
        await click(page, byTest('log-from-bus'));
        await click(page, byTest('read-log'));
        await page.waitForSelector(byTest('log-figures'));
      } finally {
        for (const one of open) await one.close().catch(() => undefined);
      }
    }),
};
