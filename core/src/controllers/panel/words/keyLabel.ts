import type { Panel } from '../../definitions/index.ts';

/** What is printed on a key; its id where nothing is. */
export function keyLabel(panel: Panel, id: string): string {
  return panel.keys.find((key) => key.id === id)?.label ?? id;
}
