import { object } from 'yup';
import { code, finite, id, listOf, positive } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';

const MAX_READINGS = 40;

const reading = object({ ohms: positive(), celsius: finite() }).required(
  'expected ohms above 0 and a temperature',
);

/** A sensor held against known temperatures: ohms at each, and what it was taken for. */
export const probe = entry('probe', {
  id: id(),
  role: code(),
  readings: listOf(reading, MAX_READINGS, 'readings'),
  leadOhms: finite(),
  sensor: id().nullable(),
});

export type Probe = BodyOf<typeof probe>;
