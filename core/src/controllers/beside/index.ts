export { copyOf, type ProgramCopy } from './copyOf.ts';
export { ownToUnit, ownWords } from './ownToUnit.ts';
export {
  isSameControl,
  sideBySide,
  type BesideCell,
  type BesideControl,
  type BesideRow,
} from './sideBySide.ts';
