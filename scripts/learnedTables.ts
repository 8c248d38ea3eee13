import { median } from '@brine/core/foundation/statistics';
import { writeMarkedTables } from './markedTables.ts';
import { otherBoxes } from '../core/testing/otherBoxes/boxes.ts';
import { tryBox, widest, type TriedFigure } from '../core/testing/otherBoxes/tryBox.ts';

/** Writes the tables of docs/identification.md: every test box, each figure predicted beside what it came to. `OTHER_DAYS=1000` tries it on other days. */
const path = new URL('../docs/identification.md', import.meta.url);
const otherDays = Number(process.env['OTHER_DAYS'] ?? 0);
const tried = otherBoxes.flatMap((box) => tryBox(box, otherDays));

const digits: Readonly<Record<string, number>> = {
  startsPerHour: 1,
  dutyPercent: 0,
  defrostMinutes: 0,
  airMean: 1,
  airMax: 1,
};
const words: Readonly<Record<string, string>> = {
  startsPerHour: 'starts an hour',
  dutyPercent: 'duty, %',
  defrostMinutes: 'defrost, min',
  airMean: 'air, mean °C',
  airMax: 'air, greatest °C',
};

function cell(f: TriedFigure | undefined): string {
  if (!f) return '–';
  const d = digits[f.figure]!;
  const text = `${f.value.toFixed(d)} (${f.low.toFixed(d)} to ${f.high.toFixed(d)}), was ${f.truth.toFixed(d)}`;
  return f.near ? text : `**${text}**`;
}

const figures = Object.keys(words);
const boxes = otherBoxes.flatMap((box) =>
  box.changes.map((_, change) => {
    const of = tried.filter((f) => f.box === box.name && f.change === change);
    return `| ${box.name}, change ${change + 1} | ${figures.map((id) => cell(of.find((f) => f.figure === id))).join(' | ')} |`;
  }),
);
const table = [
  `| Box | ${figures.map((id) => words[id]).join(' | ')} |`,
  `| --- | ${figures.map(() => '---').join(' | ')} |`,
  ...boxes,
].join('\n');

const near = tried.filter((f) => f.near).length;
const inside = tried.filter((f) => f.inside).length;
const percent = (n: number) => Math.round((100 * n) / tried.length);
const widths = figures.map((id) => {
  const of = tried.filter((f) => f.figure === id);
  const share = median(of.map((f) => (f.high - f.low) / widest[id as keyof typeof widest](f.value)));
  return `| ${words[id]} | ${of.filter((f) => f.near).length} of ${of.length} | ${of.filter((f) => f.inside).length} of ${of.length} | ${Math.round(100 * share)} % |`;
});
const sum = [
  `${near} of ${tried.length} figures near (${percent(near)} %, 85 wanted), ${inside} inside of their interval (${percent(inside)} %, 65 wanted, 80 its name).`,
  '',
  '| Figure | near | inside | median interval against the widest wanted |',
  '| --- | --- | --- | --- |',
  ...widths,
].join('\n');

process.stdout.write(`${table}\n\n${sum}\n`);
if (otherDays === 0) writeMarkedTables(path, { boxes: table, sum });
