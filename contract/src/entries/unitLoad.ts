import { id } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { unitLoadField } from './shared/unitLoad.ts';

/** A load of the unit’s plate; null takes it away. */
export const unitLoad = entry('unitLoad', {
  id: id(),
  load: unitLoadField.nullable(),
});

export type UnitLoad = BodyOf<typeof unitLoad>;
