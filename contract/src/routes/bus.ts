import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import type { Readings } from '@brine/core/judgement/following';
import { idParams, LONGEST_NAME, name, text, uuid, whole, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { flag, list, said } from './views.ts';
import { answersWork, work } from './work.ts';

/** How a request on a line may fail: as the bus tells it. */
const failureKinds = ['noConnection', 'noAnswer', 'badAnswer', 'refused', 'stopped'] as const;
/** Something to be asked on site, as the program there takes it. */
export interface LinkCall {
  readonly id: string;
  readonly line: { readonly host: string; readonly port: number; readonly kind: LineKind };
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

/** A following of a job’s control, under way or over. */
const busFollow = object({
  work: work.required(),
  line: said(),
  device: number().required(),
  every: number().required(),
});
export type BusFollow = DeepReadonly<InferType<typeof busFollow>>;
/** What a controller told from moment to moment; null where it did not answer. */
const followedPoints = object({
  points: list(object({ at: said(), readings: mixed<Readings>().nullable().defined() })),
  more: flag(),
});
export type FollowedPoints = DeepReadonly<InferType<typeof followedPoints>>;
/** Seconds between two looks, and hours of one following, at most. */
const LONGEST_BETWEEN = 60;
const LONGEST_FOLLOW = 24;

/** Most words of one trial: a register table of some hundred rows, and what stands beside them. */
const MOST_PLACES = 2000;
const HIGHEST_ADDRESS = 0xffff;
/** Most values of one writing: more than any menu has. */
const MOST_VALUES = 500;
const LONGEST_HOST = 253;
const port = () => whole(1, 65_535).required('port: expected a number from 1 to 65535');
/** Where on a line a controller is: 1 to 247, Modbus over Serial Line V1.02, 2.2. */
const device = () => whole(1, 247).required('device: expected a number from 1 to 247');
/** Which control is written down for it: the hash of its definition. */
const definition = () =>
  string()
    .required('definition: expected the hash of a controller')
    .matches(/^[0-9a-f]{64}$/, 'definition: expected the hash of a controller');

export const busRoutes = {
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
    body: object({
      call: uuid('call'),
      words: array(whole(0, 0xffff).required('words: expected numbers from 0 to 65535'))
        .required('words: expected a list')
        .max(2000, 'words: expected at most 2000'),
      failure: object({
        kind: string()
          .required('failure.kind: expected why it failed')
          .oneOf(failureKinds, `failure.kind: expected one of ${failureKinds.join(', ')}`),
        message: text(500).required('failure.message: expected a sentence'),
        exception: whole(0, 255).nullable().defined(),
      })
        .nullable()
        .default(null),
    }),
    answer: object({}),
  }),
  startBusTry: contract({
    ...paths.startBusTry,
    summary:
      'Begins reading single registers of a device on a line, to try what a booklet says of them; the answer is a file of JSON',
    access: 'technician',
    status: 202,
    params: idParams,
    body: object({
      device: device(),
      places: array(
        object({
          /** 1 coils, 2 contacts, 3 holding registers, 4 input registers: the function that reads them. */
          table: number<1 | 2 | 3 | 4>()
            .required('table: expected 1, 2, 3 or 4')
            .oneOf([1, 2, 3, 4], 'table: expected 1, 2, 3 or 4'),
          address: whole(0, HIGHEST_ADDRESS).required('address: expected a number from 0 to 65535'),
        }),
      )
        .required('places: expected a list')
        .min(1, 'places: expected at least one')
        .max(MOST_PLACES, `places: expected at most ${MOST_PLACES}`),
    }),
    answer: answersWork,
  }),
  startBusFollow: contract({
    ...paths.startBusFollow,
    summary: 'Begins following a control over a line of the job’s site: its readings every second or so',
    access: 'technician',
    status: 202,
    params: idParams,
    body: object({
      line: uuid('line'),
      device: device(),
      definition: definition(),
      every: whole(1, LONGEST_BETWEEN).default(1),
      hours: whole(1, LONGEST_FOLLOW).default(12),
    }),
    answer: answersWork,
  }),
  busFollows: contract({
    ...paths.busFollows,
    summary: 'Followings of a job, the newest first',
    access: 'viewer',
    params: idParams,
    answer: object({ follows: list(busFollow) }),
  }),
  busPoints: contract({
    ...paths.busPoints,
    summary: 'What the control told after a moment, in order',
    access: 'viewer',
    params: idParams.shape({ follow: uuid('follow') }),
    query: object({
      after: string()
        .matches(
          /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?Z$/,
          'after: expected a moment such as 2026-01-31T12:00:00Z',
        )
        .optional(),
    }),
    answer: followedPoints,
  }),
  startBusRead: contract({
    ...paths.startBusRead,
    summary:
      'Begins reading all values of a control over a line of the job’s site; the answer is a file of JSON',
    access: 'technician',
    status: 202,
    params: idParams,
    body: object({ line: uuid('line'), device: device(), definition: definition() }),
    answer: answersWork,
  }),
  startBusWrite: contract({
    ...paths.startBusWrite,
    summary:
      'Begins writing values into the new control of a job over a line of its site. Somebody stands at the unit and said there that it may be written',
    access: 'technician',
    status: 202,
    params: idParams,
    body: object({
      line: uuid('line'),
      device: device(),
      definition: definition(),
      values: array(
        object({
          code: text(40).required('code: expected a code'),
          value: mixed<string | number>().required('value: expected a value'),
        }),
      )
        .required('values: expected a list')
        .min(1, 'values: expected at least one')
        .max(MOST_VALUES, `values: expected at most ${MOST_VALUES}`),
      /** How the display stands under which the values are told: a number that would meet another unit is not written. */
      display: object({
        unit: string<'degC' | 'degF'>()
          .required('display.unit: expected degC or degF')
          .oneOf(['degC', 'degF'], 'display.unit: expected degC or degF'),
        decimal: boolean().required('display.decimal: expected true or false'),
      }).required('display: expected how the display stands'),
      atUnit: name('Who stands at the unit', LONGEST_NAME),
      mayBeWritten: boolean()
        .required('mayBeWritten: expected true')
        .oneOf([true], 'mayBeWritten: whoever stands at the unit must have said that it may be written'),
    }),
    answer: answersWork,
  }),
};
