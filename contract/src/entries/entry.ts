import { mixed, object, type InferType, type ISchema, type ObjectShape } from 'yup';
import type { DeepReadonly } from '../fields/index.ts';

/** The schema of an entry's body: its kind and its fields. JSON as it is: no value is turned into another type. */
export const entry = <Kind extends string, Shape extends ObjectShape>(kind: Kind, shape: Shape) =>
  object({ kind: mixed<Kind>().oneOf([kind]).required(), ...shape }).strict();

/** The body that a schema takes, as it is read. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- any schema, as yup's own helpers say it
export type BodyOf<EntrySchema extends ISchema<any>> = DeepReadonly<InferType<EntrySchema>>;
