import type { Page } from 'puppeteer-core';
import { byTest, choose, click, fill, seeText, signIn, textOf } from './support/acts.ts';
import { newPage } from './support/browser.ts';
import { Caller } from './support/caller.ts';
import { onStage } from './support/stage.ts';
import { expectHolds, expectSame, type EndToEndTest } from './support/suite.ts';

const WORD = 'a long password';
const PEOPLE = [
  'Olga Brack',
  'Piet Ebb',
  'Ida Kolk',
  'Jan Diek',
  'Mia Siel',
  'Ron Plate',
  'Eva Priel',
  'Tom Watt',
];
const JOBS = 30;
/** A page that shows another's change later than this is not live, ms. */
const LIVE_MS = 2000;

/** A day so many days from today, by the clock of this machine, which the browser shares. */
function dayFrom(days: number): string {
  const day = new Date();
  day.setDate(day.getDate() + days);
  return `${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
}

/** What the i-th of the thirty jobs is: who goes (nobody every tenth), on which day (none every sixth), and whether it waits. */
const planOf = (i: number) => ({
  who: i % 10 === 9 ? null : i % PEOPLE.length,
  day: i % 6 === 5 ? null : dayFrom((i % 5) - 2),
  waits: i % 7 === 3,
});
const plans = Array.from({ length: JOBS }, (_, i) => planOf(i));
const isLate = ({ day }: (typeof plans)[number]) => day !== null && day < dayFrom(0);

/** The company: its lead by the first link, seven more by invitations, thirty jobs on eight sites. */
async function company(server: { readonly base: string; output(): string }): Promise<Caller> {
  const lead = new Caller(server.base);
  const send = async (caller: Caller, path: string, body: unknown) => {
    const { status, body: text } = await caller.post(`/api${path}`, body);
    if (status >= 300) throw new Error(`${path}: ${status} ${text}`);
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
    return JSON.parse(text) as any;
  };
  const loginOf = (name: string) => name.split(' ')[0]!.toLowerCase();
  const take = (caller: Caller, token: string, login: string | null, name: string | null) =>
    send(caller, `/links/${token}`, {
      login,
      name,
      password: WORD,
      device: `device-of-${login ?? name ?? token}`,
    });
  const first = /\/link\/(\S+)/.exec(server.output())![1]!;
  const ids = [(await take(lead, first, loginOf(PEOPLE[0]!), PEOPLE[0]!)).person.id as string];
  for (const name of PEOPLE.slice(1)) {
    const { link } = await send(lead, '/people', { name, login: loginOf(name), role: 'technician' });
    await take(new Caller(server.base), link.token, null, null);
    const { people } = JSON.parse((await lead.get('/api/people')).body) as {
      people: readonly { id: string; name: string }[];
    };
    ids.push(people.find((one) => one.name === name)!.id);
  }
  for (const [i, { who, day, waits }] of plans.entries()) {
    const { job } = await send(lead, '/calls', {
      siteId: null,
      site: { name: `Site ${i % 8}, call ${i}`, phone: `555 02${String(i).padStart(2, '0')}` },
      unitId: null,
      unit: { name: `Own unit ${i}`, tag: `U-${i}` },
      title: `Own call ${i}`,
      assignedTo: who === null ? null : ids[who],
      plannedFor: day,
    });
    if (waits) await lead.patch(`/api/jobs/${job.id}`, { waitsFor: 'a part', version: job.version });
  }
  return lead;
}

const lanesOn = (page: Page) =>
  page.$$eval('section[aria-label] > h2 + ul', (lists) =>
    Object.fromEntries(
      lists
        .filter((list) => list.querySelector('[data-today]'))
        .map((list) => [list.parentElement!.getAttribute('aria-label')!, list.children.length]),
    ),
  );

/** A lead with eight people and thirty jobs: what is late, who has how much; one job handed on, seen by its new owner at once. */
export const leadsMorning: EndToEndTest = {
  name: 'a lead’s morning: thirty jobs of eight people in their lanes, each person’s load, a late job handed on and live on the other’s page',
  run: () =>
    onStage(
      async ({ server, browser }) => {
        await company(server);
        const page = await newPage(browser);
        await signIn(page, server.base, 'olga', WORD);
        await page.goto(`${server.base}/today`, { waitUntil: 'networkidle0' });
        await page.waitForSelector('[data-today]');

        // Oracle: counted from what was planned.
        const late = plans.filter(isLate).length;
        const waiting = plans.filter(({ waits }) => waits).length;
        expectHolds(
          await textOf(page, byTest('today-summary')),
          `${JOBS} jobs are open, ${late} late, ${waiting} wait`,
          'the day in a sentence',
        );
        const lanes = await lanesOn(page);
        expectSame(lanes['Late'], late, 'late');
        expectSame(lanes['Today'], plans.filter(({ day }) => day === dayFrom(0)).length, 'today');
        expectSame(lanes['No day yet'], plans.filter(({ day }) => day === null).length, 'without a day');
        expectSame(
          Object.values(lanes).reduce((sum, n) => sum + n, 0),
          JOBS,
          'jobs in all lanes',
        );
        const loads = await page.$$eval(byTest('person-load'), (list) =>
          list.map((node) => (node as HTMLElement).innerText.replace(/\s+/g, ' ')),
        );
        expectSame(loads.length, PEOPLE.length, 'people');
        for (const [who, name] of PEOPLE.entries()) {
          const own = plans.filter((plan) => plan.who === who);
          const behind = own.filter(isLate).length;
          expectHolds(
            loads.join('; '),
            `${name} ${own.length} jobs${behind > 0 ? `, ${behind} late` : ''}`,
            'loads',
          );
        }

        // One person's alone; the address holds it.
        await page.$$eval(
          byTest('person-load'),
          (list, name) => (list.find((node) => node.textContent?.includes(name)) as HTMLElement).click(),
          'Ida Kolk',
        );
        await seeText(page, 'Only Ida Kolk’s.');
        const idas = plans.filter(({ who }) => who === PEOPLE.indexOf('Ida Kolk'));
        expectSame((await page.$$('[data-today]')).length, idas.length, 'Ida’s');
        expectSame(new URL(page.url()).searchParams.has('person'), true, 'the person in the address');

        // Tom looks at his own while the lead hands him a late one that nobody else could take.
        const tom = await newPage(await browser.createBrowserContext());
        await signIn(tom, server.base, 'tom', WORD);
        await tom.goto(`${server.base}/today?board=mine`, { waitUntil: 'networkidle0' });
        const lateOne = plans.findIndex((plan) => isLate(plan) && plan.who === PEOPLE.indexOf('Ida Kolk'));
        await click(page, `[aria-label="Plan Own unit ${lateOne}"]`);
        await choose(page, byTest('plan-who'), 'Tom Watt');
        await fill(page, byTest('plan-waits'), 'the key of the yard');
        await click(page, byTest('save-plan'));
        const handed = Date.now();
        await tom.waitForFunction(
          (name) =>
            document.body.innerText.includes(name) && document.body.innerText.includes('the key of the yard'),
          {},
          `Own unit ${lateOne}`,
        );
        const after = Date.now() - handed;
        process.stdout.write(`      handed on, live after ${after} ms\n`);
        expectSame(after < LIVE_MS, true, `live after ${after} ms`);

        // All late ones, found under Jobs by the same count, and one of them by its telephone number.
        await page.goto(`${server.base}/jobs?state=late`, { waitUntil: 'networkidle0' });
        await seeText(page, `${late} of ${late}`);
        await fill(page, byTest('search'), `555 02${String(lateOne).padStart(2, '0')}`);
        await seeText(page, '1 of 1');
        await seeText(page, `Own unit ${lateOne}`);
      },
      { demo: false },
    ),
};
