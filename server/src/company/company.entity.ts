import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import { USUAL_OFFLINE_DAYS } from '@brine/contract/lengths';
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
    offlineDays: p.integer().default(USUAL_OFFLINE_DAYS),
    version: p.integer().version(),
  },
});

export type Company = InferEntity<typeof companyEntity>;
