import type { Page } from 'puppeteer-core';
import { noLineTroubles, noTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { serve } from '@brine/bus/standIn';
import {
  allSaved,
  askServer,
  byTest,
  choose,
  click,
  clickText,
  fill,
  seeText,
  signIn,
  textOf,
} from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { query } from './support/database.ts';
import { enterLine, openLines } from './support/lines.ts';
import { ownDevice, ownOnTheWire } from './support/ownBus.ts';
import { skerryDx } from './support/skerryDx.ts';
import { onStage } from './support/stage.ts';
import { openJobOn, ownUnit, PASSWORD } from './support/steps.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

type Body = Readonly<Record<string, unknown>> & { readonly kind: string; readonly code?: string };

/** Two more units where the first stands, and the definition in the library; the ids of the three. */
async function prepare(page: Page): Promise<readonly [string, string, string]> {
  const { units } = await askServer<{ units: { id: string; siteId: string }[] }>(page, 'units?search=LIKE-1');
  const { id, siteId } = units[0]!;
  const add = async (name: string, tag: string) =>
    (await askServer<{ unit: { id: string } }>(page, 'units', { siteId, name, tag, plate: 'R-290 230 V' }))
      .unit.id;
  const others = [await add('Left counter', 'LIKE-2'), await add('Odd one', 'LIKE-3')] as const;
  await askServer(page, 'controllers', { definition: ownOnTheWire });
  return [id, ...others];
}

async function confirmAndWrite(page: Page, who: string): Promise<void> {
  await fill(page, byTest('bus-at-unit'), who);
  await click(page, byTest('bus-may'));
  await click(page, byTest('bus-write'));
  await page.waitForSelector(byTest('bus-written'));
}

export const likeUnits: EndToEndTest = {
  name: 'the same in like units: a control that nobody prepared is planned and written; its neighbour gets the same over its own line, keeps what its probe is off by, and both stand side by side',
  run: () =>
    onStage(async ({ server, browser }) => {
      const odd = new StandInDevice(skerryDx, new Map(), noTroubles);
      const [first, second, third] = await Promise.all([
        ownDevice([['co1', 6.5]], 3),
        ownDevice(
          [
            ['co1', 2],
            ['co8', -1.2],
          ],
          8,
        ),
        serve(odd, { host: '127.0.0.1', port: 0, unit: 5, speed: 1, line: noLineTroubles }),
      ]);
      try {
        const page = await newPage(browser);
        await signIn(page, server.base, 'tess', PASSWORD);
        await ownUnit(page, 'Own arcade', { name: 'Right counter', tag: 'LIKE-1', plate: 'R-290 230 V' });
        const [one, other, oddOne] = await prepare(page);
        const lead = await newPage(await browser.createBrowserContext());
        await signIn(lead, server.base, 'lena', PASSWORD);
        await openLines(lead, server.base, 'Own arcade');
        await enterLine(lead, 'East wall', first.serving.port);
        await enterLine(lead, 'West wall', second.serving.port);
        await enterLine(lead, 'North wall', third.port);

        const job = await openJobOn(page, server.base, 'LIKE-1', 'New counters');
        await choose(page, '#question-application-field', 'Reach-in refrigerator');
        await choose(page, '#question-goods-field', 'Milk and dairy');
        await choose(page, '#question-defrostMethod-field', 'Off-cycle');
        await click(page, '#question-probes input[value="air"]');
        await page.waitForSelector('#question-probes input[value="air"]:checked');
        await choose(page, '#question-displayUnit-field', '°C');
        await choose(page, byTest('control-new'), ownOnTheWire.family);
        await allSaved(page);
        await page.goto(`${server.base}/jobs/${job}/program/cabinet`, { waitUntil: 'networkidle0' });
        await click(page, byTest('write-by-bus'));
        await choose(page, byTest('bus-line'), 'East wall');
        await fill(page, byTest('bus-device'), '3');
        await click(page, byTest('bus-look'));
        await page.waitForSelector(byTest('bus-plan'));
        await confirmAndWrite(page, 'Una');
        expectHolds(await textOf(page, byTest('bus-written')), 'written and read back', 'the first unit');
        await allSaved(page);
        const left = new Map(first.device.memory);

        await page.goto(`${server.base}/jobs/${job}/program/like`, { waitUntil: 'networkidle0' });
        expectHolds(await textOf(page, byTest('like-left')), 'co8', 'what belongs to a probe is left');
        await clickText(page, `${byTest('like-unit')} button`, 'Left counter');
        await seeText(page, 'It has no open job');
        // The line of the first unit, by mistake: that device is known to be another.
        await choose(page, byTest('bus-line'), 'East wall');
        await fill(page, byTest('bus-device'), '3');
        expectHolds(await textOf(page, byTest('like-taken')), 'Right counter', 'whose device that is');
        await choose(page, byTest('bus-line'), 'West wall');
        await fill(page, byTest('bus-device'), '8');
        await click(page, byTest('bus-look'));
        await page.waitForSelector(byTest('bus-plan'));
        const codes = await page.$$eval(`${byTest('bus-plan')} li code`, (cells) =>
          cells.map((cell) => cell.textContent!.trim()),
        );
        expectSame(codes.includes('co1') && !codes.includes('co8'), true, `what is to be written: ${codes}`);
        await confirmAndWrite(page, 'Ned');
        await seeText(page, `${codes.length} of ${codes.length} written and read back.`);
        await allSaved(page);
        // The oracle is the two machines: the same but for what belongs to one unit.
        expectSame(
          [...second.device.memory].filter(([code]) => code !== 'co8').sort(),
          [...left].filter(([code]) => code !== 'co8').sort(),
          'the second holds what the first holds',
        );
        expectSame(second.device.memory.get('co8'), -1.2, 'and is off by its own');

        const jobs = await query(server.databaseUrl, `select id from job where unit_id = '${other}'`);
        expectSame(jobs.length, 1, 'a job was opened for it');
        const bodies = (
          await query(
            server.databaseUrl,
            `select body from entry where job_id = '${String(jobs[0]!['id'])}' order by sequence`,
          )
        ).map(({ body }) => body as Body);
        const of = (kind: string) => bodies.filter((body) => body.kind === kind);
        expectSame(
          of('keyed')
            .filter(({ stood }) => stood !== true)
            .map(({ code, state, over, atUnit }) => [code, state, over, atUnit]),
          codes.map((code) => [code, 'keyed', 'bus', 'Ned']),
          'what was written, and who stood there',
        );
        expectSame(
          of('keyed')
            .filter(({ stood }) => stood === true)
            .map(({ code }) => code!)
            .sort(),
          [...second.device.memory.keys()].filter((code) => !codes.includes(code)).sort(),
          'what stood there already is settled as read',
        );
        expectSame(
          of('copiedFrom').map(({ job: from, unit }) => [from, unit]),
          [[job, 'Right counter']],
          'where it comes from',
        );
        expectSame(of('found').length, 8, 'what was read before');
        expectHolds(JSON.stringify(of('answer')), 'reachInRefrigerator', 'what it is');
        expectHolds(
          JSON.stringify(of('plannedCode')),
          '"code":"co8","kind":"plannedCode","value":-1.2',
          'what stays is planned',
        );

        // Somebody turned the first one since: side by side says which code.
        first.device.write(6, 101, [50]);
        await page.goto(`${server.base}/units/${one}/beside?with=${other}`, { waitUntil: 'networkidle0' });
        await seeText(page, '8 values known from');
        await click(page, `${byTest('side-left')} ${byTest('side-open')}`);
        await click(page, `${byTest('side-left')} ${byTest('side-read')}`);
        await seeText(page, '8 values, read now');
        await seeText(page, '2 differ');
        const differing = await page.$$eval(byTest('beside-differs'), (rows) =>
          rows.map((row) => row.textContent!.replace(/\s+/g, ' ').trim().slice(0, 3)),
        );
        expectSame(differing, ['co2', 'co8'], 'what differs');

        // Another controller, in a unit without a job: setting by setting, each with its own code.
        await page.goto(`${server.base}/units/${one}/beside?with=${oddOne}`, { waitUntil: 'networkidle0' });
        await seeText(page, 'Nobody wrote down yet');
        await click(page, `${byTest('side-right')} ${byTest('side-open')}`);
        await choose(page, `${byTest('side-right')} ${byTest('side-control')}`, 'Skerry DX');
        await choose(page, `${byTest('side-right')} ${byTest('bus-line')}`, 'North wall');
        await fill(page, `${byTest('side-right')} ${byTest('bus-device')}`, '5');
        await click(page, `${byTest('side-right')} ${byTest('side-read')}`);
        await seeText(page, `${odd.memory.size} values, read now`);
        await page.waitForSelector(byTest('beside-table'));
        const setPoint = await page.$$eval(`${byTest('beside-table')} tbody tr`, (rows) =>
          rows
            .map((row) => row.textContent!.replace(/\s+/g, ' '))
            .find((row) => row.includes('Set point') && row.includes('co1')),
        );
        expectHolds(setPoint ?? '', 't1', 'the code of each for the set point');
      } finally {
        await Promise.all([first.serving.close(), second.serving.close(), third.close()]);
      }
    }),
};
