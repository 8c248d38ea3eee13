import { entry, type BodyOf } from './entry.ts';
import { temperature } from './shared/temperature.ts';

/** Cut-in and cut-out of a mechanical control, as its dial has them. */
export const mechanical = entry('mechanical', {
  cutIn: temperature.nullable(),
  cutOut: temperature.nullable(),
});

export type Mechanical = BodyOf<typeof mechanical>;
