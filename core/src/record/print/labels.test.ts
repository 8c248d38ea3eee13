import { expect, test } from '@jest/globals';
import { labelDocument, type UnitLabel } from './labels.ts';

const label = (n: number): UnitLabel => ({
  code: `<svg>${n}</svg>`,
  tag: `F-${n}`,
  name: `Freezer ${n}`,
  site: 'Pier',
});
const all = (document: unknown) => JSON.stringify(document);

test('a label on tape is a page of 62 × 29 mm for each unit, with its code', () => {
  const document = labelDocument([label(1), label(2)], 'tape', 'Saltmarsh');
  const { width, height } = document.pageSize as { width: number; height: number };
  // 1 in is 25.4 mm and 72 pt.
  expect([(width / 72) * 25.4, (height / 72) * 25.4].map((side) => Math.round(side * 10) / 10)).toEqual([
    62, 29,
  ]);
  expect(document.content).toHaveLength(2);
  expect(all(document.content[1])).toContain('"pageBreak":"before"');
  expect(all(document.content[0])).toContain('"svg":"<svg>1</svg>"');
});

test('on stickers every unit has a place, three across, the last row filled up with nothing', () => {
  const document = labelDocument([1, 2, 3, 4].map(label), 'A4', 'Saltmarsh');
  const { table } = document.content[0] as unknown as {
    table: { body: unknown[][]; heights: number; widths: number[] };
  };
  expect(table.body.map((row) => row.length)).toEqual([3, 3]);
  expect(table.body[1]!.slice(1)).toEqual(['', '']);
  // Three of 70 mm make the 210 mm of A4, eight of 37 mm with the margin at the top its 297 mm (ISO 216).
  expect(Math.round((table.widths.reduce((sum, w) => sum + w, 0) / 72) * 25.4)).toBe(210);
  expect(Math.round(((table.heights * 8) / 72) * 25.4 + 0.5)).toBeLessThanOrEqual(297);
});

test('Letter stickers fill the width of the sheet between their margins', () => {
  const document = labelDocument([label(1)], 'LETTER', 'Saltmarsh');
  const { table } = document.content[0] as unknown as { table: { widths: number[]; heights: number } };
  // 8.5 × 11 in: margins of 3/16 in at the sides, ten inches for ten labels.
  expect(table.widths.reduce((sum, w) => sum + w, 0) + 2 * 13.5).toBeCloseTo(8.5 * 72, 6);
  expect(table.heights * 10 + 2 * 36).toBeCloseTo(11 * 72, 6);
});
