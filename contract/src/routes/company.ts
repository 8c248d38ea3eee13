import { mixed, object, string, type InferType } from 'yup';
import type { Priors } from '@brine/core/machines/identification';
import { schools, type SchoolId, type Sides } from '@brine/core/foundation/unit';
import { freeText, LONGEST_PHONE, name, version, whole, type DeepReadonly } from '../fields/index.ts';
import { LARGEST_LOGO, LEAST_OFFLINE_DAYS, LONGEST_LOGO_URL, MOST_OFFLINE_DAYS } from '../lengths/index.ts';
import { secondFactorChoices, type SecondFactorOf } from '../company/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, flag, list, said } from './views.ts';

const sides = object(
  Object.fromEntries(
    (Object.keys(schools) as SchoolId[]).map((id) => {
      const known = Object.keys(schools[id].sides);
      return [
        id,
        string()
          .optional()
          .oneOf(known, `${id}: expected one of ${known.join(', ')}`),
      ];
    }),
  ),
);
const displayUnit = () =>
  string<'celsius' | 'fahrenheit'>().oneOf(
    ['celsius', 'fahrenheit'],
    'displayUnit: expected celsius or fahrenheit',
  );
const secondFactorOf = () =>
  string<SecondFactorOf>().oneOf(
    secondFactorChoices,
    `secondFactor: expected one of ${secondFactorChoices.join(', ')}`,
  );
/** What the company's learned units of a kind have in common, and how many they were. */
const kindBox = object({
  units: count(),
  at: said(),
  priors: mixed<Priors>().required(),
});
export type KindBox = DeepReadonly<InferType<typeof kindBox>>;

/** A kind of which units were learned: how many, what they have in common once there are enough, and what is used of it. */
const kindOffer = object({
  application: said(),
  units: count(),
  priors: mixed<Priors>().nullable().defined(),
  used: kindBox.nullable().defined(),
});
export type KindOffer = DeepReadonly<InferType<typeof kindOffer>>;

const company = object({
  name: said(),
  phone: said(),
  /** Its mark on the papers, as a data URL of a PNG or JPEG; null where there is none. */
  logo: said().nullable(),
  schools: mixed<Sides>().required(),
  displayUnit: displayUnit().required(),
  /** Whom it asks for a second factor beside the password. */
  secondFactor: secondFactorOf().required(),
  /** Days that somebody may work on a device without contact with the server. */
  offlineDays: count(),
  /** By kind of unit: what a further one is learned with, where the lead took it. */
  kinds: mixed<Readonly<Record<string, KindBox>>>().required(),
  version: count(),
});
export type Company = DeepReadonly<InferType<typeof company>>;

const phones = object({
  address: said(),
  trust: object({ page: said(), fingerprint: said() }).nullable().defined(),
});
/** What a phone opens, and where it learns to trust the certificate made here. */
export type Phones = DeepReadonly<InferType<typeof phones>>;

export const companyRoutes = {
  company: contract({
    ...paths.company,
    summary: 'The company and its preferences',
    access: 'viewer',
    beforeSecond: true,
    answer: object({ company: company.required() }),
  }),
  kinds: contract({
    ...paths.kinds,
    summary: 'Kinds of which units were learned, and what they have in common',
    access: 'lead',
    answer: object({ kinds: list(kindOffer) }),
  }),
  useKind: contract({
    ...paths.useKind,
    summary:
      'Learns further units of a kind with what the learned ones have in common, or with what is usual again',
    access: 'lead',
    body: object({ application: name('Kind'), use: flag() }),
    answer: object({ company: company.required(), kinds: list(kindOffer) }),
  }),
  phones: contract({
    ...paths.phones,
    summary: 'What a phone opens, and where it learns to trust the certificate made here',
    access: 'viewer',
    answer: object({ phones: phones.nullable().defined() }),
  }),
  changeCompany: contract({
    ...paths.changeCompany,
    summary: 'Changes name, usual unit or preferences',
    access: 'lead',
    limit: 2 * LONGEST_LOGO_URL,
    body: object({
      name: name('Name').optional(),
      phone: freeText('Phone', LONGEST_PHONE).optional(),
      logo: string()
        .nullable()
        .optional()
        .default(undefined)
        .max(LONGEST_LOGO_URL, `logo: expected a picture of at most ${LARGEST_LOGO / 1000} kB`)
        .matches(/^data:image\/(png|jpeg);base64,[A-Za-z0-9+/=]+$/, {
          message: 'logo: expected a PNG or JPEG picture',
          excludeEmptyString: true,
        }),
      schools: sides.optional().default(undefined),
      displayUnit: displayUnit().optional(),
      secondFactor: secondFactorOf().optional(),
      offlineDays: whole(LEAST_OFFLINE_DAYS, MOST_OFFLINE_DAYS).optional().default(undefined),
      version: version(),
    }),
    answer: object({ company: company.required() }),
  }),
};
