import { afterAll, describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { printedRows } from '../../core/testing/booklets.ts';
import { pdfOf, type PdfText } from '../../core/testing/pdf.ts';
import { root, Scratch } from '../testing/scratch.ts';

const scratch = new Scratch();
afterAll(() => scratch.remove());
/** Starts the program as a shell would: PDF is read before the command runs. */
const suggest = (path: string) =>
  spawnSync(process.execPath, [join(root, 'cli/bin/brine.mjs'), 'controller', 'suggest', path], {
    encoding: 'utf8',
    env: { ...process.env, NODE_OPTIONS: '' },
  });

const rows = printedRows(36, 'letters');
const lefts = [40, 80, 400, 440, 480, 530];
const line = (cells: readonly string[], y: number): readonly PdfText[] =>
  cells.flatMap((text, i) => (text === '' ? [] : [{ text: text.replace('°', '\xb0'), x: lefts[i]!, y }]));
const heading = ['Par.', 'Description', 'Min', 'Max', 'U.M.', 'Def.'];
const pages = [0, 1].map((page) => [
  { text: `Instruction manual, sheet ${page + 1}`, x: 40, y: 40 },
  ...line(heading, 80),
  ...rows
    .slice(18 * page, 18 * page + 18)
    .flatMap((r, i) => line([r.code, r.description, r.min, r.max, r.unit, r.default], 100 + 16 * i)),
]);

describe('a booklet as a PDF', () => {
  test('two pages become one table, every row with its figures', () => {
    const result = suggest(scratch.file('dorry.pdf', Buffer.from(pdfOf(pages))));
    expect(result).toMatchObject({ status: 0, stderr: '' });
    const printed = JSON.parse(result.stdout);
    // Oracle: the labelled rows before they were printed.
    expect(
      printed.rows.map((r: Record<string, string>) => [r['code'], r['min'], r['max'], r['default']]),
    ).toEqual(rows.map((r) => [r.code, r.min, r.max, r.default]));
    expect(printed.definition.family).toBe('dorry');
    expect(printed.implied.length).toBeGreaterThan(0);
  });

  test('one without text, a damaged one and a missing one are refused in a line', () => {
    for (const [path, says] of [
      [scratch.file('empty.pdf', Buffer.from(pdfOf([[]]))), 'pictures without text'],
      [scratch.file('damaged.pdf', 'not a PDF at all'), 'cannot be read as a PDF'],
      [join(scratch.folder, 'missing.pdf'), 'no such file'],
    ] as const) {
      const result = suggest(path);
      expect([result.status, result.stdout, result.stderr.trimEnd().split('\n').length]).toEqual([2, '', 1]);
      expect(result.stderr).toContain(says);
    }
  });
});
