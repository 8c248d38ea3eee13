import type { ControllerDefinition } from '../src/controllers/definitions/index.ts';
import { machineOf } from '../src/controllers/panel/index.ts';
import { families } from './families.ts';
import { styleDefinition, styles } from './panels.ts';

/** Every style of panel, and every family of the demo of which a panel is stated. */
export const everyPanel: readonly ControllerDefinition[] = [
  ...styles.map(styleDefinition),
  ...families.values(),
].filter((definition) => machineOf(definition) !== null);
