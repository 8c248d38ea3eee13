import { mixed, object, string, type InferType } from 'yup';
import type { AlarmCode } from '@brine/core/controllers/definitions';
import { idParams, type DeepReadonly } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { flag, list, said } from './views.ts';

const share = object({ endsAt: said() });
/** A link that was just made: its secret stands only here, once. */
const newShare = share.shape({ token: said() });

/** What anybody with the link sees of a unit: settings, alarm codes, what to watch, next dates. No pictures, no people, no access codes. */
const sharedPage = object({
  unit: said(),
  site: said(),
  company: said(),
  phone: said(),
  control: said(),
  /** The day of the last value that was seen in the unit. */
  date: said(),
  /** What it is set to, in sentences. */
  setTo: list(said()),
  groups: list(
    object({
      title: said(),
      lines: list(object({ code: said(), meaning: said(), value: said(), found: said(), remark: said() })),
    }),
  ),
  /** What is to be set and is not in the unit yet. */
  planned: list(object({ code: said(), meaning: said(), planned: said() })),
  builtIn: list(said()),
  watch: list(said()),
  open: list(object({ words: said(), because: said() })),
  lost: list(said()),
  alarms: list(mixed<AlarmCode>().required()),
  next: list(object({ due: said(), what: said() })),
});
export type SharedPage = DeepReadonly<InferType<typeof sharedPage>>;

const tokenParams = object({
  token: string()
    .required('token: expected the secret of a link')
    .max(40, 'token: expected at most 40 characters'),
});

export const shareRoutes = {
  share: contract({
    ...paths.share,
    summary: 'Whether the read-only page of a unit has an open link, and until when',
    access: 'viewer',
    params: idParams,
    answer: object({ share: share.nullable().defined() }),
  }),
  makeShare: contract({
    ...paths.makeShare,
    summary:
      'Makes a link to the read-only page of a unit; its secret is told once. Sheets carry links of their own from then on',
    access: 'technician',
    status: 201,
    params: idParams,
    answer: object({ share: newShare.required() }),
  }),
  revokeShare: contract({
    ...paths.revokeShare,
    summary: 'Revokes every link of a unit',
    access: 'technician',
    params: idParams,
    answer: object({ revoked: flag() }),
  }),
  sharedPage: contract({
    ...paths.sharedPage,
    summary: 'The read-only page of a unit: no people, pictures or access codes',
    access: 'public',
    params: tokenParams,
    answer: object({ page: sharedPage.required() }),
  }),
  sharedUnit: contract({
    ...paths.sharedUnit,
    summary: 'The unit to which a link belongs, for people of the company',
    access: 'viewer',
    params: tokenParams,
    answer: object({ unitId: said() }),
  }),
};
