import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { USUAL_OFFLINE_DAYS } from '@brine/contract/lengths';
import type { SecondFactorOf } from '@brine/contract/company';
import type { KindBox } from '@brine/contract/routes';
import type { Sides } from '@brine/core/foundation/unit';

/** The one company of an installation, with the sides it takes by default. */
export const companyEntity = defineEntity({
  name: 'Company',
  tableName: 'company',
  properties: {
    id: p.uuid().primary(),
    name: p.string(),
    /** Whom people on site call. */
    phone: p.string().default(''),
    /** Its mark on the papers, a picture as a data URL. */
    logo: p.text().nullable(),
    schools: p.json<Sides>(),
    displayUnit: p.string().$type<'celsius' | 'fahrenheit'>(),
    /** Whom it asks for a second factor. */
    secondFactor: p.string().$type<SecondFactorOf>().default('nobody'),
    offlineDays: p.integer().default(USUAL_OFFLINE_DAYS),
    /** By kind of unit: what its learned units have in common, taken by a lead for the next ones. */
    kinds: p.json<Readonly<Record<string, KindBox>>>().defaultRaw("'{}'"),
    version: p.integer().version(),
  },
});

export type Company = InferEntity<typeof companyEntity>;
