export {
  connectionsOf,
  noConnections,
  type WrittenConnections,
  type WrittenRelay,
} from './draft/connections.ts';
export { draftDefinition } from './draft/draftDefinition.ts';
export { type WrittenPreset, withPresets } from './draft/presets.ts';
export { choicesOf, type DraftRow, draftRows } from './draft/draftRow.ts';
export { type PanelAnswers, panelFrom, panelPatterns } from './draft/panelPatterns.ts';
export type { Choice } from './match/learned.ts';
export { type BookletRow, suggestSetting } from './match/suggest.ts';
export { type ColumnRole, columnRoles } from './table/columns.ts';
export { layOut, type LaidOut } from './page/layOut.ts';
export { pdfPieces } from './page/pdfPieces.ts';
export type { BookletPage, ReadAt, TextPiece } from './page/piece.ts';
export { type Mend, mendRows, readTable } from './table/readTable.ts';
export { greyOf, type Picture } from './scan/picture.ts';
export { prepare, type Prepared } from './scan/prepare.ts';
export { type LetterReader, readScan } from './scan/readScan.ts';
export { isFilled } from './table/readTable.ts';
export {
  asDone,
  type Demonstration,
  type Fault as ShowingFault,
  type MenuAnswers,
  type ShownStep,
} from './keys/demonstration.ts';
export { gestureOf } from './keys/gestureOf.ts';
export { grammarFrom, panelOf as panelOfMenus, type ShownMenu } from './keys/grammarFrom.ts';
