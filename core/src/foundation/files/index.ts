export { type CsvRow, type CsvTable, parseCsv, writeCsv } from './csv.ts';
export { type FileProblem, fileProblem, isFileProblem, parseJson, readHeader } from './header.ts';
export { markOf } from './mark.ts';
