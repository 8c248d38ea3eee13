import { object, type InferType } from 'yup';
import { LONGEST_NAME, text } from '../../fields/index.ts';
import type { DeepReadonly } from '../../fields/index.ts';

/** A controller definition as it was when a sheet was made: a sheet pins version and hash. */
export const pinnedDefinition = object({
  id: text(LONGEST_NAME),
  family: text(LONGEST_NAME),
  version: text(LONGEST_NAME),
  hash: text(LONGEST_NAME),
}).typeError('expected id, family, version and hash');

export type PinnedDefinition = DeepReadonly<InferType<typeof pinnedDefinition>>;
