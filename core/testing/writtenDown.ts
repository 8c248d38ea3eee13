import { impliedBy } from '../src/controllers/builtIn/index.ts';
import type { ControllerDefinition } from '../src/controllers/definitions/index.ts';

/** A family as somebody would have written it down whose booklet says nothing of where the band lies and what is counted: those are deduced, and not confirmed. */
export function writtenDown(family: ControllerDefinition): ControllerDefinition {
  const {
    'regulation.differentialPlacement': _placement,
    'defrost.initiation': _initiation,
    ...fixed
  } = family.fixed ?? {};
  const bare = { ...family, fixed };
  return {
    ...bare,
    implied: Object.fromEntries(impliedBy(bare).map(({ setting, value }) => [setting, value])),
  };
}
