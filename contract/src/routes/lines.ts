import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import { idParams, LONGEST_NAME, name, text, uuid, whole, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { flag, list, said } from './views.ts';

export const lineKinds = ['tcp', 'rtuOverTcp'] as const;
/** Modbus TCP, or RTU frames over TCP as a serial gateway passes them on. */
export type LineKind = (typeof lineKinds)[number];

/** A line of a site that the server may call: an address that a lead entered. */
export const busLine = object({
  id: said(),
  name: said(),
  host: said(),
  port: number().integer().required(),
  kind: string<LineKind>().oneOf(lineKinds).required(),
  /** Whether it is called at all: a lead may shut it. */
  open: flag(),
  /** The program on site that holds it; null: the server calls it itself. */
  link: said().nullable(),
});
export type BusLine = DeepReadonly<InferType<typeof busLine>>;
/** A program on site that holds lines which the server cannot reach. */
const busLink = object({
  id: said(),
  name: said(),
  /** When it last asked; null: never. */
  seenAt: said().nullable(),
  ended: flag(),
});
export type BusLink = DeepReadonly<InferType<typeof busLink>>;
const answersLine = object({ line: busLine.required() });

/** Something to be asked on site, as the program there takes it. */
export interface LinkCall {
  readonly id: string;
  readonly line: Pick<BusLine, 'host' | 'port' | 'kind'>;
  readonly device: number;
  readonly read: {
    readonly function: 1 | 2 | 3 | 4;
    readonly address: number;
    readonly count: number;
  } | null;
  readonly write: {
    readonly by: 5 | 6 | 16;
    readonly address: number;
    readonly words: readonly number[];
  } | null;
}

/** How a request on a line may fail: as the bus tells it. */
const failureKinds = ['noConnection', 'noAnswer', 'badAnswer', 'refused', 'stopped'] as const;
/** Most words of one answer: bits of one request, Modbus Application Protocol V1.1b3, 6.1. */
const MOST_WORDS = 2000;
const HIGHEST_WORD = 0xffff;
/** What came of a call: words of a reading, none of a writing, or why it failed. */
const linkAnswer = object({
  call: uuid('call').required('call: expected the id of a call'),
  words: array(whole(0, HIGHEST_WORD).required('words: expected numbers from 0 to 65535'))
    .required('words: expected a list')
    .max(MOST_WORDS, `words: expected at most ${MOST_WORDS}`),
  failure: object({
    kind: string<(typeof failureKinds)[number]>()
      .required('failure.kind: expected why it failed')
      .oneOf(failureKinds, `failure.kind: expected one of ${failureKinds.join(', ')}`),
    message: text(500).required('failure.message: expected a sentence'),
    exception: whole(0, 255).nullable().defined(),
  })
    .nullable()
    .default(null),
});
export type LinkAnswer = DeepReadonly<InferType<typeof linkAnswer>>;

const LONGEST_HOST = 253;
const port = () => whole(1, 65_535).required('port: expected a number from 1 to 65535');

export const lineRoutes = {
  busLines: contract({
    ...paths.busLines,
    summary: 'The lines of a site that the server may call',
    access: 'viewer',
    params: idParams,
    answer: object({ lines: list(busLine) }),
  }),
  createBusLine: contract({
    ...paths.createBusLine,
    summary: 'Enters the address of a line of a site. The server calls no other address',
    access: 'lead',
    status: 201,
    params: idParams,
    body: object({
      name: name('Name', LONGEST_NAME),
      host: text(LONGEST_HOST)
        .required('host: expected an address or a name')
        .matches(
          /^[A-Za-z0-9.:-]+$/,
          'host: expected an address such as 192.168.1.20, or a name, without a port',
        ),
      port: port(),
      kind: string<LineKind>().oneOf(lineKinds, 'kind: expected tcp or rtuOverTcp').default('tcp'),
      link: uuid('link').nullable().optional().default(null),
    }),
    answer: answersLine,
  }),
  changeBusLine: contract({
    ...paths.changeBusLine,
    summary: 'Opens or shuts a line: one that is shut is not called, and what goes on there ends',
    access: 'lead',
    params: idParams,
    body: object({ open: boolean().required('open: expected true or false') }),
    answer: answersLine,
  }),
  busLinks: contract({
    ...paths.busLinks,
    summary: 'The programs on site that hold lines of it',
    access: 'lead',
    params: idParams,
    answer: object({ links: list(busLink) }),
  }),
  createBusLink: contract({
    ...paths.createBusLink,
    summary: 'Makes a link for a program on site; its token stands in this answer and nowhere else',
    access: 'lead',
    status: 201,
    params: idParams,
    body: object({ name: name('Name', LONGEST_NAME) }),
    answer: object({ link: busLink.required(), token: said() }),
  }),
  endBusLink: contract({
    ...paths.endBusLink,
    summary: 'Ends a link: its token opens nothing any more',
    access: 'lead',
    params: idParams,
    answer: object({ link: busLink.required() }),
  }),
  linkCalls: contract({
    ...paths.linkCalls,
    summary: 'What the server wants asked on site; waits some seconds for it',
    access: 'link',
    body: object({}),
    answer: object({ calls: list(mixed<LinkCall>().required()) }),
  }),
  linkAnswers: contract({
    ...paths.linkAnswers,
    summary: 'What came of something that was asked on site',
    access: 'link',
    body: linkAnswer,
    answer: object({}),
  }),
};
