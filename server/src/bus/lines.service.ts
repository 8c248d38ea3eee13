import { randomUUID } from 'node:crypto';
import type { BusLine, LineKind } from '@brine/contract/routes';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { mustFindSite } from '../sites/sites.service.ts';
import type { StoredBusLine } from './busLine.entity.ts';

export function listLines(services: Services, site: string): Promise<readonly BusLine[]> {
  return services.database.transaction(async (repositories) => {
    await mustFindSite(repositories, site);
    return (await repositories.busLines.ofSite(site)).map(viewOf);
  });
}

export function createLine(
  services: Services,
  person: SignedIn,
  site: string,
  {
    link,
    ...line
  }: {
    readonly name: string;
    readonly host: string;
    readonly port: number;
    readonly kind: LineKind;
    readonly link: string | null;
  },
): Promise<BusLine> {
  return services.database.transaction(async (repositories) => {
    await mustFindSite(repositories, site);
    if (link !== null && (await repositories.busLinks.byId(link))?.siteId !== site)
      throw new AppError('badInput', 'link: expected a link of this site');
    const entered = await repositories.busLines.create({
      id: randomUUID(),
      siteId: site,
      ...line,
      linkId: link,
      open: true,
      enteredBy: person.id,
      enteredAt: services.now(),
    });
    services.log.info(
      { line: entered.id, site, host: line.host, port: line.port, by: person.id },
      'a line was entered',
    );
    return viewOf(entered);
  });
}

export function changeLine(
  services: Services,
  person: SignedIn,
  id: string,
  open: boolean,
): Promise<BusLine> {
  return services.database.transaction(async (repositories) => {
    const line = await repositories.busLines.byId(id);
    if (!line) throw new AppError('notFound', 'No such line');
    line.open = open;
    await repositories.busLines.save();
    services.log.info({ line: id, open, by: person.id }, 'a line was changed');
    return viewOf(line);
  });
}

/** Throws where a line is shut, or was taken away. */
export function mustBeOpen(line: StoredBusLine | null): asserts line is StoredBusLine {
  if (!line?.open) throw new AppError('conflict', `${line?.name ?? 'The line'} is shut; a lead opens it`);
}

const viewOf = ({ id, name, host, port, kind, open, linkId }: StoredBusLine): BusLine => ({
  link: linkId ?? null,
  id,
  name,
  host,
  port,
  kind,
  open,
});
