export { layOut } from './layout/layOut.ts';
export { pdfPieces } from './layout/pdfPieces.ts';
export type { BookletPage, ReadAt, TextPiece } from './layout/piece.ts';
export { greyOf, type Picture } from './scan/picture.ts';
export { prepare, type Prepared } from './scan/prepare.ts';
export { type LetterReader, readScan } from './scan/readScan.ts';
