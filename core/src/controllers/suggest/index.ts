export {
  connectionsOf,
  noConnections,
  type WrittenConnections,
  type WrittenRelay,
} from './draft/connections.ts';
export { draftDefinition } from './draft/draftDefinition.ts';
export { type WrittenPreset, withPresets } from './draft/presets.ts';
export type { RowCondition } from './draft/condition.ts';
export { choicesOf, type DraftRow, draftRows } from './draft/draftRow.ts';
export { type PanelAnswers, panelFrom, panelPatterns } from './draft/panelPatterns.ts';
export type { Choice } from './match/learned.ts';
export { type BookletRow, CLEAR, SURE, suggestSetting } from './match/suggest.ts';
export type { ColumnRole } from './table/columns.ts';
export { isFilled, type Mend, mendRows, readTable } from './table/readTable.ts';
export {
  type AddressCount,
  draftRegisters,
  nameOf,
  noRegisters,
  type RegisterDraft,
  type RegisterRole,
  type SaidOfRegister,
  type WrittenRegisters,
} from './registers/index.ts';
