import { anyText, listOf, oneOf, LONGEST_ID } from '../fields/index.ts';
import { entry, type BodyOf } from './entry.ts';
import { pinnedDefinition } from './shared/pinnedDefinition.ts';
import { frozenRow } from './shared/frozenRow.ts';

/** Most rows of one sheet: more than any menu has. */
const MAX_ROWS = 500;

/** A sheet of values kept as it was at that moment. */
export const sheet = entry('sheet', {
  sheet: oneOf(['found', 'planned', 'left']),
  parent: anyText(LONGEST_ID).nullable().defined('expected the sheet it follows, or null'),
  definition: pinnedDefinition.nullable().defined('expected a definition or null'),
  rows: listOf(frozenRow, MAX_ROWS, 'rows'),
});

export type Sheet = BodyOf<typeof sheet>;
