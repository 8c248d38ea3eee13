import { learnUnit, predictUnit } from '../../src/judgement/learning/index.ts';
import { guessLayout, readWholeLog, type Log } from '../../src/logs/reading/index.ts';
import { isFileProblem } from '../../src/foundation/files/index.ts';
import type { Predicted } from '../../src/machines/identification/index.ts';
import { logCsv, type LoggedRow, type LogRole } from './logCsv.ts';
import type { OtherBox } from './recipe.ts';
import { runOther, type OtherFigures } from './run.ts';

/** One figure predicted for a box after a change, beside what it came to. */
export interface TriedFigure {
  readonly box: string;
  readonly change: number;
  readonly figure: keyof OtherFigures;
  readonly truth: number;
  readonly value: number;
  readonly low: number;
  readonly high: number;
  /** Within the tolerance wanted, and truth within the interval (one of over twice the width wanted counts as missed). */
  readonly near: boolean;
  readonly inside: boolean;
}

type Judged = Exclude<keyof OtherFigures, 'defrostsPerDay'>;

/** Tolerances as they are wanted: starts 20 % or 0.3 an hour, duty 5 points, defrost 25 % or 3 min, air mean 0.7 K, greatest 1.5 K. */
const tolerances: Readonly<Record<Judged, (truth: number) => number>> = {
  startsPerHour: (truth) => Math.max(0.3, 0.2 * truth),
  dutyPercent: () => 5,
  defrostMinutes: (truth) => Math.max(3, 0.25 * truth),
  airMean: () => 0.7,
  airMax: () => 1.5,
};
/** Widest median interval wanted. */
export const widest: Readonly<Record<Judged, (value: number) => number>> = {
  startsPerHour: (value) => 0.35 * value,
  dutyPercent: (value) => 0.35 * value,
  defrostMinutes: (value) => 0.35 * value,
  airMean: () => 1.2,
  airMax: () => 2.6,
};

/** A log in memory, read as a logger's file is. */
export function logOf(rows: readonly LoggedRow[], columns: readonly LogRole[]): Log {
  const csv = logCsv(rows, columns);
  const read = readWholeLog(csv, guessLayout(csv.slice(0, 1 << 16)).layout);
  if (isFileProblem(read)) throw new Error(read.message);
  return read.log;
}

/** Days that a change is looked at. */
const DAYS_AFTER = 4;

/** Learns a box from its log and predicts its changes; the truth is the box itself under them, on other days. */
export function tryBox(box: OtherBox, otherDays = 0): readonly TriedFigure[] {
  const { rows } = runOther(box, box.settings, { days: box.days, seed: box.seed + otherDays });
  const learning = learnUnit({ log: logOf(rows, box.columns), unit: box.unit, values: box.settings });
  if (learning === null || typeof learning === 'string' || learning.box === null)
    throw new Error(`${box.name}: ${JSON.stringify(learning)}`);
  return box.changes.flatMap((change, i) => {
    const values = { ...box.settings, ...change };
    const { figures } = runOther(box, values, { days: DAYS_AFTER, seed: box.seed + 100 + otherDays });
    const predicted = predictUnit({ box: learning.box, unit: box.unit, values }) as Predicted;
    return (Object.keys(tolerances) as Judged[]).flatMap((figure): readonly TriedFigure[] => {
      const truth = figures[figure];
      const said = predicted[figure];
      if (truth === null || said === null) return [];
      return [
        {
          box: box.name,
          change: i,
          figure,
          truth,
          ...said,
          near: Math.abs(said.value - truth) <= tolerances[figure](truth),
          inside:
            truth >= said.low && truth <= said.high && said.high - said.low <= 2 * widest[figure](said.value),
        },
      ];
    });
  });
}
