import type { Services } from '../http/context.ts';
import { unitName } from '../units/unitName.ts';

/** What an event is about, by the name it has now: an id says nothing to whoever reads it. Empty where it is gone. */
export type About = Readonly<Record<string, string>>;

/** A person. */
export async function personNamed({ database }: Services, id: string): Promise<About> {
  return { person: await database.reads.people.nameOf(id) };
}

/** A unit with its site. */
export async function unitNamed({ database }: Services, id: string): Promise<About> {
  const unit = await database.reads.units.view(id);
  return unit ? { unit: unitName(unit), site: unit.siteName } : {};
}

/** A job with its unit and site. */
export async function jobNamed({ database }: Services, id: string): Promise<About> {
  const [job] = await database.reads.jobs.views([id]);
  if (!job) return {};
  return { job: job.title, unit: unitName(job.unit), site: job.unit.siteName };
}

/** A site. */
export async function siteNamed({ database }: Services, id: string): Promise<About> {
  const site = await database.reads.sites.view(id);
  return site ? { site: site.name } : {};
}
