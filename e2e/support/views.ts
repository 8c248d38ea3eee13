import type { Page } from 'puppeteer-core';
import { demoJob } from './acts.ts';

/** Every main view of the demo, by its path, with the path of the job most of them belong to. Signed in as a lead. */
export async function mainViews(
  page: Page,
  size: 'desk' | 'phone',
): Promise<{ readonly job: string; readonly views: readonly string[] }> {
  const job = `/jobs/${await demoJob(page, 'fish store')}`;
  const fans = `/jobs/${await demoJob(page, 'flat out')}`;
  const bread = `/jobs/${await demoJob(page, 'Coil ices')}`;
  const cellar = `/jobs/${await demoJob(page, 'Rinds')}`;
  const van = `/jobs/${await demoJob(page, 'Morning run')}`;
  const unit = await page.evaluate(
    async () => `/units/${(await (await fetch('/api/units')).json()).units[0].id as string}`,
  );
  const views = [
    '/today',
    '/jobs',
    `${job}/survey`,
    `${job}/fit`,
    `${job}/wire/found`,
    `${job}/wire/diagram`,
    `${job}/wire/list`,
    // At a desk the meter stands beside the diagram.
    ...(size === 'phone' ? [`${job}/wire/meter`] : []),
    `${job}/wire/kit`,
    `${job}/program/plan`,
    `${job}/program/forecast`,
    `${job}/program/tune`,
    `${job}/program/cabinet`,
    `${job}/program/compare`,
    `${job}/complaint`,
    `${job}/prove/run`,
    `${job}/prove/probes`,
    `${job}/prove/log`,
    `${job}/handover`,
    `${fans}/program/fans`,
    `${van}/prove/trip`,
    `${bread}/program/tools`,
    `${cellar}/program/tools`,
    '/units',
    unit,
    '/units/review',
    '/controls',
    '/controls/write',
    '/bench',
    '/practice',
    '/people',
    '/account',
    '/waiting',
  ];
  return { job, views };
}
