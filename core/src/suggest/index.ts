export { suggestSetting, FITS, type BookletRow, type Guess, type Suggestion } from './match/suggest.ts';
export type { Choice } from './match/learned.ts';
export { readOptions, type BookletOption } from './choices/readOptions.ts';
export { optionMeanings, type OptionMeaning } from './choices/meanings.ts';
export { mendRows, readTable, type Mend, type ReadTable, type TableRow } from './table/readTable.ts';
export { columnRoles, type ColumnRole } from './table/columns.ts';
export { choicesOf, draftRows, type DraftRow } from './draft/draftRow.ts';
export { draftDefinition, type Draft, type DraftNames, type OpenRow } from './draft/draftDefinition.ts';
export { panelFrom, panelPatterns, type PanelAnswers, type PanelPattern } from './draft/panelPatterns.ts';
