import { temperature } from '../quantities/index.ts';
import { ZERO_CELSIUS_K } from '../limits/index.ts';
import { fileProblem, type FileProblem } from '../files/index.ts';

/** A point of a sensor's table. */
export interface TablePoint {
  readonly degC: number;
  readonly ohms: number;
}

/** Falling resistance is straight in ln R over 1/T, rising resistance in R over t: between two points the straight one of the two is used. */
const falls = (points: readonly TablePoint[]) => points.at(-1)!.ohms < points[0]!.ohms;

/** Ohms at a temperature from a table sorted by temperature. */
export function tableOhms(points: readonly TablePoint[], celsius: number): number {
  const [p, q] = around(points, (point) => point.degC > celsius);
  if (!falls(points)) return p.ohms + ((celsius - p.degC) / (q.degC - p.degC)) * (q.ohms - p.ohms);
  const [x, x1, x2] = [celsius, p.degC, q.degC].map((t) => 1 / (t + ZERO_CELSIUS_K)) as [
    number,
    number,
    number,
  ];
  return Math.exp(Math.log(p.ohms) + ((x - x1) / (x2 - x1)) * Math.log(q.ohms / p.ohms));
}

/** Temperature at a resistance from the same table; null beyond a quarter of its range outside it. */
export function tableCelsius(points: readonly TablePoint[], ohms: number): number | null {
  const down = falls(points);
  const [p, q] = around(points, (point) => (down ? point.ohms < ohms : point.ohms > ohms));
  const t = down
    ? 1 /
        (1 / (p.degC + ZERO_CELSIUS_K) +
          (Math.log(ohms / p.ohms) / Math.log(q.ohms / p.ohms)) *
            (1 / (q.degC + ZERO_CELSIUS_K) - 1 / (p.degC + ZERO_CELSIUS_K))) -
      ZERO_CELSIUS_K
    : p.degC + ((ohms - p.ohms) / (q.ohms - p.ohms)) * (q.degC - p.degC);
  const reach = (points.at(-1)!.degC - points[0]!.degC) / 4;
  return t >= points[0]!.degC - reach && t <= points.at(-1)!.degC + reach ? t : null;
}

function around(
  points: readonly TablePoint[],
  beyond: (point: TablePoint) => boolean,
): readonly [TablePoint, TablePoint] {
  const found = points.findIndex(beyond);
  const i = found < 0 ? points.length - 1 : Math.max(1, found);
  return [points[i - 1]!, points[i]!];
}

/**
 * Reads a sensor's table as pasted: two columns, temperature and ohms, in any order of lines, parted by tab, semicolon, comma with blank or
 * blanks; `k` for kilohm; °F where `fahrenheit`. Needs two points, one temperature once, and ohms that only rise or only fall.
 */
export function readTable(text: string, fahrenheit = false): readonly TablePoint[] | FileProblem {
  const points: TablePoint[] = [];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '' || !/\d/.test(line)) continue;
    const point = readLine(line, fahrenheit);
    if (point === null)
      return fileProblem(
        `line ${i + 1}`,
        `${line.trim()}: expected a temperature and ohms, such as 25 10000`,
      );
    points.push(point);
  }
  if (points.length < 2) return fileProblem('(table)', 'expected at least two lines of temperature and ohms');
  const sorted = points.sort((a, b) => a.degC - b.degC);
  const twice = sorted.find((p, i) => i > 0 && p.degC === sorted[i - 1]!.degC);
  if (twice) return fileProblem('(table)', `${twice.degC} °C is there twice`);
  const rising = sorted[1]!.ohms > sorted[0]!.ohms;
  const turn = sorted.find(
    (p, i) => i > 0 && (rising ? p.ohms <= sorted[i - 1]!.ohms : p.ohms >= sorted[i - 1]!.ohms),
  );
  if (turn)
    return fileProblem(
      '(table)',
      `at ${turn.degC} °C the ohms turn; expected them only to rise or only to fall`,
    );
  return sorted;
}

function readLine(line: string, fahrenheit: boolean): TablePoint | null {
  const cells = line
    .trim()
    .split(/\t|;|,\s+|\s+/)
    .filter(Boolean);
  const [t, r] = (cells.length === 1 ? line.trim().split(',') : cells).map((cell) =>
    cell.replace(',', '.').replace('−', '-'),
  );
  const degrees = Number(t?.replace(/°?[CF]$/i, ''));
  const ohms = /^([\d.]+)\s*([kM]?)(?:Ω|ohms?)?$/i.exec(r ?? '');
  if (!ohms || !Number.isFinite(degrees) || t === '') return null;
  const value = Number(ohms[1]) * ({ k: 1e3, m: 1e6 }[ohms[2]!.toLowerCase()] ?? 1);
  return value > 0 ? { degC: temperature(degrees, fahrenheit ? 'degF' : 'degC'), ohms: value } : null;
}
