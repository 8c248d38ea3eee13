import { object, type InferType } from 'yup';
import { anyText, code, LONGEST_ID } from '../../fields/index.ts';
import type { DeepReadonly } from '../../fields/index.ts';
import { codeValue } from './codeValue.ts';

/** One row of a frozen sheet. */
export const frozenRow = object({
  code: code(),
  value: codeValue,
  setting: anyText(LONGEST_ID).nullable().optional(),
}).required('expected a code and a value');

export type FrozenRow = DeepReadonly<InferType<typeof frozenRow>>;
