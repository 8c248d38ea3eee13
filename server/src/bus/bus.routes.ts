import { api } from '@brine/contract/routes';
import { jobNamed, siteNamed } from '../audit/about.ts';
import { linkOf, personOf, serve } from '../http/route.ts';
import { askForRead, askForTry, askForUnitRead, askForWrite } from './bus.service.ts';
import { changeLine, createLine, listLines } from './lines.service.ts';
import { askForFollow, listFollows, pointsAfter } from './follow.service.ts';
import { callsFor, createLink, endLink, keepLinkAnswer, listLinks } from './link.service.ts';

export const busRoutes = [
  serve(api.busLines, async ({ services, params }) => ({ lines: await listLines(services, params.id) })),
  serve(
    api.createBusLine,
    async (input) => ({
      line: await createLine(input.services, personOf(input), input.params.id, input.body),
    }),
    async ({ services, params }, { line }) => ({
      kind: 'lineEntered',
      about: { ...(await siteNamed(services, params.id)), line: line.name },
    }),
  ),
  serve(
    api.changeBusLine,
    async (input) => ({
      line: await changeLine(input.services, personOf(input), input.params.id, input.body.open),
    }),
    ({ body }, { line }) =>
      Promise.resolve({ kind: 'lineChanged', about: { line: line.name, open: body.open ? 'yes' : 'no' } }),
  ),
  serve(api.busLinks, async ({ services, params }) => ({ links: await listLinks(services, params.id) })),
  serve(
    api.createBusLink,
    (input) => createLink(input.services, personOf(input), input.params.id, input.body.name),
    async ({ services, params, body }) => ({
      kind: 'busLinkMade',
      about: { ...(await siteNamed(services, params.id)), link: body.name },
    }),
  ),
  serve(
    api.endBusLink,
    async (input) => ({
      link: await endLink(input.services, personOf(input), input.params.id),
    }),
    (_, { link }) => Promise.resolve({ kind: 'busLinkEnded', about: { link: link.name } }),
  ),
  serve(api.linkCalls, async (input) => ({
    calls: await callsFor(input.services, linkOf(input), input.context.req.raw.signal),
  })),
  serve(api.linkAnswers, async (input) => {
    await keepLinkAnswer(input.services, linkOf(input), input.body);
    return {};
  }),
  serve(api.startBusTry, async (input) => ({
    work: await askForTry(input.services, personOf(input), input.params.id, input.body),
  })),
  serve(api.startBusFollow, async (input) => ({
    work: await askForFollow(input.services, personOf(input), input.params.id, input.body),
  })),
  serve(api.busFollows, async (input) => ({
    follows: await listFollows(input.services, personOf(input), input.params.id),
  })),
  serve(api.busPoints, ({ services, params, query }) =>
    pointsAfter(services, params.id, params.follow, query.after),
  ),
  serve(api.startUnitRead, async (input) => ({
    work: await askForUnitRead(input.services, personOf(input), input.params.id, input.body),
  })),
  serve(api.startBusRead, async (input) => ({
    work: await askForRead(input.services, personOf(input), input.params.id, input.body),
  })),
  serve(
    api.startBusWrite,
    async (input) => ({
      work: await askForWrite(input.services, personOf(input), input.params.id, input.body),
    }),
    async ({ services, params }) => ({ kind: 'busWritten', about: await jobNamed(services, params.id) }),
  ),
];
