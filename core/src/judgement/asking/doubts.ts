import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { controlDoubts } from './controlDoubts.ts';
import type { Doubt } from './doubt.ts';
import { rowDoubts } from './rowDoubts.ts';

/** Everything of a definition that a booklet may have left in doubt and the control itself can tell. */
export const doubtsOf = (definition: ControllerDefinition): readonly Doubt[] => [
  ...rowDoubts(definition),
  ...controlDoubts(definition),
];
