import { oneOf } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { pinnedDefinition } from './shared/pinnedDefinition.ts';

/** The old or the new control of the job, by a version of its definition; null takes it away. */
export const control = entry('control', {
  role: oneOf(['old', 'new']),
  definition: pinnedDefinition.nullable().defined('expected a definition or null'),
});

export type Control = BodyOf<typeof control>;
