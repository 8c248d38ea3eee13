export { copyOf, type ProgramCopy } from './copyOf.ts';
export { ownToUnit, ownWords, type OwnReason } from './ownToUnit.ts';
export { sideBySide, type BesideCell, type BesideControl, type BesideRow } from './sideBySide.ts';
