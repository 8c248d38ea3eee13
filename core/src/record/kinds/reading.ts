import type { Reading } from '@brine/contract/entries';
import { meterUnitOf, placeKey } from '../../wiring/readings/index.ts';
import type { KindOfEntry } from './kind.ts';

const unitNames = { V: 'V', A: 'A', ohm: 'Ω' } as const;

export const reading: KindOfEntry<Reading> = {
  key: (body) => `reading:${body.circuit}:${placeKey(body.place)}`,
  about: (body) =>
    `Read in ${body.place.state}, ${'through' in body.place ? body.place.through : `${body.place.from} to ${body.place.to}`}`,
  says: (body) => (body.value === null ? 'removed' : `${body.value} ${unitNames[meterUnitOf(body.place)]}`),
};
