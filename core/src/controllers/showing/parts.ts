import type { CodeValue, EditRules, EnterStep, MoveRules } from '../definitions/index.ts';
import type { ShownStep } from './demonstration.ts';

/** What the steps of a demonstration are. */
export interface Parts {
  readonly enter: readonly EnterStep[];
  readonly layout: 'list' | 'path';
  /** The display has words: it shows a parameter's name, not its code. */
  readonly text: boolean;
  readonly move: MoveRules;
  readonly edit: EditRules;
  /** The last acts: the one that brought back the normal display, and the one before it. */
  readonly leaving: readonly [before: ShownStep, last: ShownStep];
  /** Something stood on the display before the last act that is no entry and no value: a question. */
  readonly asked: boolean;
  /** The values at the unit before, as far as they were seen. */
  readonly present: ReadonlyMap<string, CodeValue>;
}
