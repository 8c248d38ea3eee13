import { describe, expect, test } from '@jest/globals';
import { isFileProblem, parseJson } from './header.ts';
import { parseCsv, writeCsv, type CsvTable } from './csv.ts';

function table(text: string): CsvTable {
  const read = parseCsv(text, ['code', 'value']);
  if (isFileProblem(read)) throw new Error(`${read.field}: ${read.message}`);
  return read;
}

function pairs(text: string): string[][] {
  return table(text).rows.map(({ cells }) => [cells.get('code')!, cells.get('value')!]);
}

// Oracle: RFC 4180 and the layouts spreadsheets write.
describe('reading a sheet', () => {
  test.each([
    ['LF', 'code,value\ngap,5\nrest,3\n'],
    ['CRLF', 'code,value\r\ngap,5\r\nrest,3'],
    ['BOM', '\uFEFFcode,value\ngap,5\nrest,3'],
    ['semicolons', 'code;value\ngap;5\nrest;3'],
    ['tabs', 'code\tvalue\ngap\t5\nrest\t3'],
    ['other order and case', 'Value,Code\n5,gap\n3,rest'],
    ['quotes and spaces', '"code" ,"value"\n"gap",  5\n"rest","3"'],
    ['empty lines', '\n\ncode,value\n\ngap,5\n,\nrest,3\n\n'],
  ])('%s', (_name, text) => {
    expect(pairs(text)).toEqual([
      ['gap', '5'],
      ['rest', '3'],
    ]);
  });

  test('decimal commas stand where semicolons part the cells', () => {
    expect(pairs('code;value\nt1;-22,5')).toEqual([['t1', '-22,5']]);
  });

  test('says which line a row stood on, quoted line breaks counted', () => {
    const read = table('code,value,note\ngap,5,"two\nlines"\nrest,3,');
    expect(read.rows.map((row) => row.line)).toEqual([2, 4]);
  });

  test.each([
    ['', 'empty'],
    ['   \n  ', 'empty'],
    ['gap,5\nrest,3', 'expected a header with code and value'],
    ['code\ngap', 'value is missing'],
    ['code,value,code\na,1,b', 'twice'],
    ['%PDF-1.4\u0000\u0001', 'not a text file'],
    ['code,value\n"gap,5\nrest,3', 'quote'],
    ['code,value\n' + 'x,1\n'.repeat(10_000), '10000 rows; expected at most 5000'],
  ])('%j is refused with a sentence', (text, part) => {
    const read = parseCsv(text, ['code', 'value']);
    expect(isFileProblem(read) && `${read.field} ${read.message}`).toContain(part);
  });
});

describe('writing a table', () => {
  test('negative numbers stay numbers, formulas become text', () => {
    expect(
      writeCsv(
        ['code', 'value'],
        [
          ['a', '-9.4'],
          ['=1+1', 'x,y'],
        ],
      ),
    ).toBe('code,value\r\na,-9.4\r\n\'=1+1,"x,y"\r\n');
  });

  test('what is written is read back', () => {
    expect(
      pairs(
        writeCsv(
          ['code', 'value'],
          [
            ['a"b', 'x\ny'],
            ['c', '1'],
          ],
        ),
      ),
    ).toEqual([
      ['a"b', 'x\ny'],
      ['c', '1'],
    ]);
  });
});

describe('reading JSON', () => {
  test('names the place where it stops being JSON', () => {
    const read = parseJson('{\n "a": 1,\n oops }');
    expect(isFileProblem(read) && read.message).toContain('line 3');
  });

  test('allows a BOM and refuses an empty file', () => {
    expect(parseJson('\uFEFF{"a":1}')).toEqual({ data: { a: 1 } });
    expect(isFileProblem(parseJson(' '))).toBe(true);
  });
});
