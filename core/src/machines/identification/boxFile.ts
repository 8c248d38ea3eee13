import { fileProblem, isFileProblem, readHeader, type FileProblem } from '../../foundation/files/index.ts';
import { isQuantity } from '../../foundation/quantities/index.ts';
import type { Sentence } from '../../foundation/sentences/index.ts';
import { parameterIds, parameters, type ParameterId } from './parameters.ts';
import type { Priors } from './priors.ts';

export const BOX_FORMAT = 'brine-dial/box@1';

/** A measured figure beside the model's, under the settings that were in force. */
export interface MeasuredAndModel {
  readonly measured: number;
  readonly model: number;
}

/** How well the learned box says what was logged. */
export interface BoxFit {
  /** Model less log with the model put back to the logged air at every start, K. */
  readonly airRmsKelvin: number;
  readonly startsPerHour: MeasuredAndModel;
  readonly dutyPercent: MeasuredAndModel;
  readonly defrostMinutes: MeasuredAndModel | null;
  readonly airMean?: MeasuredAndModel;
  /** Mean of the days' own greatest. */
  readonly airDayMax?: MeasuredAndModel;
  readonly outputsLogged?: boolean;
}

/** A parameter in its own unit: one standard error, and whether the log or what is usual says it. */
export interface BoxParameter {
  readonly value: number;
  readonly error: number;
  readonly unit: string;
  readonly from: 'log' | 'usual';
}

/** What is said of a learned box: code, numbers, words. */
export interface BoxFinding {
  readonly code: string;
  readonly severity: 'error' | 'warning' | 'note';
  readonly message: Sentence;
  readonly numbers: Readonly<Record<string, number>>;
}

/** A `*.box.json`: one unit's own model, as it was learned from a log. */
export interface BoxFile {
  readonly format: typeof BOX_FORMAT;
  readonly application?: string;
  readonly parameters: Readonly<Record<ParameterId, BoxParameter>>;
  /** How the parameters err together, in what is fitted (logarithms of factors): rows in the order of the parameters. */
  readonly covariance?: readonly (readonly number[])[];
  /** The parameters in what is fitted, in their order: how this box stands to the usual one of its kind and size. */
  readonly point?: readonly number[];
  /** What was thought of the kind before the log, where that was not what is usual. */
  readonly priors?: Priors;
  readonly fit: BoxFit;
  /** What each draw of the box says of the logged days: predictions are carried over from it. In the order of `drawnColumns`. */
  readonly drawn?: readonly (readonly (number | null)[])[];
  /** The part of the log that was learned from, h, and the seconds from row to row. */
  readonly hours?: number;
  readonly step?: number;
  readonly findings: readonly BoxFinding[];
}

/** What a row of `drawn` holds. */
export const drawnColumns = ['startsSeen', 'dutyPercent', 'defrostMinutes', 'airMean', 'airDayMax'] as const;

/** Reads a parsed `*.box.json`. A sentence with the field where it is none. Unknown fields stay. */
export function readBox(data: unknown): BoxFile | FileProblem {
  const header = readHeader(data, 'brine-dial/box', 1);
  if (isFileProblem(header)) return header;
  const { parameters: values, fit, covariance, point, priors, drawn, findings = [] } = header.data;
  const list = record(values);
  if (!list)
    return fileProblem('parameters', 'expected the parameters of a box, each with a value and an error');
  for (const id of parameterIds) {
    const one = record(list[id]);
    if (!one) return fileProblem(`parameters.${id}`, 'expected a value with its error');
    if (!finite(one['value'])) return fileProblem(`parameters.${id}.value`, 'expected a number');
    if (!finite(one['error']) || one['error'] < 0)
      return fileProblem(`parameters.${id}.error`, 'expected a number of 0 or more');
  }
  if (!Array.isArray(findings) || !findings.every(isFinding))
    return fileProblem('findings', 'expected a list of findings, each with a code, a severity and a message');
  const fitted = record(fit);
  for (const name of ['startsPerHour', 'dutyPercent'] as const)
    if (!pair(fitted?.[name])) return fileProblem(`fit.${name}`, 'expected measured and model');
  for (const name of ['defrostMinutes', 'airMean', 'airDayMax'] as const)
    if (fitted?.[name] !== undefined && fitted[name] !== null && !pair(fitted[name]))
      return fileProblem(`fit.${name}`, 'expected measured and model, or null');
  if (covariance !== undefined && !square(covariance))
    return fileProblem(
      'covariance',
      `expected ${parameters.length} rows of ${parameters.length} numbers, in the order of the parameters`,
    );
  if (
    point !== undefined &&
    !(Array.isArray(point) && point.length === parameters.length && point.every(finite))
  )
    return fileProblem('point', `expected ${parameters.length} numbers, in the order of the parameters`);
  if (priors !== undefined && !isPriors(priors))
    return fileProblem('priors', 'expected a middle and a spread above 0 for each parameter named');
  if (drawn !== undefined && !rowsOfDraws(drawn))
    return fileProblem('drawn', `expected rows of ${drawnColumns.join(', ')}, each a number or null`);
  return { findings, ...header.data } as unknown as BoxFile;
}

const record = (value: unknown): Readonly<Record<string, unknown>> | null =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? (value as Record<string, unknown>)
    : null;

const finite = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);

function isFinding(value: unknown): boolean {
  const one = record(value);
  const message = one?.['message'];
  return (
    typeof one?.['code'] === 'string' &&
    ['error', 'warning', 'note'].includes(String(one['severity'])) &&
    (typeof message === 'string' ||
      (Array.isArray(message) && message.every((part) => typeof part === 'string' || isQuantity(part))))
  );
}

function pair(value: unknown): boolean {
  const both = record(value);
  return both !== null && finite(both['measured']) && finite(both['model']);
}

/** Whether something is the priors of parameters that there are. */
function isPriors(value: unknown): value is Priors {
  const named = record(value);
  return (
    named !== null &&
    Object.entries(named).every(([id, one]) => {
      const prior = record(one);
      return (
        (parameterIds as readonly string[]).includes(id) &&
        finite(prior?.['usual']) &&
        finite(prior['spread']) &&
        prior['spread'] > 0
      );
    })
  );
}

function rowsOfDraws(value: unknown): boolean {
  return (
    Array.isArray(value) &&
    value.length > 0 &&
    value.every(
      (row) =>
        Array.isArray(row) &&
        row.length === drawnColumns.length &&
        row.every((cell, i) => finite(cell) || (cell === null && drawnColumns[i] === 'defrostMinutes')),
    )
  );
}

function square(value: unknown): boolean {
  return (
    Array.isArray(value) &&
    value.length === parameters.length &&
    value.every((row) => Array.isArray(row) && row.length === parameters.length && row.every(finite))
  );
}
