import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import type { Readings } from '@brine/core/judgement/following';
import { idParams, LONGEST_NAME, name, text, uuid, whole, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { flag, list, said } from './views.ts';
import { answersWork, work } from './work.ts';

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
/** Where on a line a controller is: 1 to 247, Modbus over Serial Line V1.02, 2.2. */
const device = () => whole(1, 247).required('device: expected a number from 1 to 247');
/** Which control is written down for it: the hash of its definition. */
const definition = () =>
  string()
    .required('definition: expected the hash of a controller')
    .matches(/^[0-9a-f]{64}$/, 'definition: expected the hash of a controller');

/** A control on a line: which line, where on it, and by which definition it is read. */
const onController = object({ line: uuid('line'), device: device(), definition: definition() });

export const busRoutes = {
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
    body: onController.shape({
      every: whole(1, LONGEST_BETWEEN).required(`every: expected seconds, 1 to ${LONGEST_BETWEEN}`),
      hours: whole(1, LONGEST_FOLLOW).required(`hours: expected hours, 1 to ${LONGEST_FOLLOW}`),
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
  startUnitRead: contract({
    ...paths.startUnitRead,
    summary:
      'Begins reading all values of a unit’s control over a line of its site, without a job; the answer is a file of JSON',
    access: 'technician',
    status: 202,
    params: idParams,
    body: onController,
    answer: answersWork,
  }),
  startBusRead: contract({
    ...paths.startBusRead,
    summary:
      'Begins reading all values of a control over a line of the job’s site; the answer is a file of JSON',
    access: 'technician',
    status: 202,
    params: idParams,
    body: onController,
    answer: answersWork,
  }),
  startBusWrite: contract({
    ...paths.startBusWrite,
    summary:
      'Begins writing values into the new control of a job over a line of its site. Somebody stands at the unit and said there that it may be written',
    access: 'technician',
    status: 202,
    params: idParams,
    body: onController.shape({
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
