import { inWords } from '../../foundation/sentences/index.ts';
import type { TableName } from '@brine/contract/routes';
import type { Program, Proving } from '../job/index.ts';
import type { JobWiring } from '../job/index.ts';
import { printQuantity } from '../../foundation/quantities/index.ts';
import { endWords } from '../../wiring/circuit/index.ts';
import { groupTitle, printShown } from './sheet.ts';

/** A cell of a table: numbers stay numbers. */
export type Cell = string | number | null;

/** A table to take along, for CSV and spreadsheets. */
export interface Table {
  readonly name: TableName;
  readonly header: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** The tables of a job. Access codes never stand in them. */
export function tablesOf(program: Program, wiring: JobWiring | null, proving: Proving): readonly Table[] {
  return [
    settings(program),
    wires(wiring),
    readings(wiring),
    tests(proving),
    calibrations(proving),
    followUps(proving),
  ];
}

function settings({ rows, display }: Program): Table {
  const shown = display ?? { unit: 'degC' as const, decimal: false };
  return {
    name: 'settings',
    header: ['code', 'meaning', 'group', 'value', 'found', 'state', 'why'],
    rows: rows
      .filter((row) => !row.settings.includes('access.code'))
      .map((row) => [
        row.code,
        row.parameter.name,
        groupTitle(row),
        row.state === 'showsElse' ? (row.shown ?? '') : printShown(row.parameter, row.value, shown),
        row.found === null ? '' : printShown(row.parameter, row.found, shown),
        row.state,
        inWords(row.reason ?? '', shown.unit),
      ]),
  };
}

function wires(wiring: JobWiring | null): Table {
  const circuit = wiring?.plan?.circuit;
  return {
    name: 'wires',
    header: ['label', 'from', 'to', 'colour', 'gauge', 'purpose'],
    rows: (circuit?.wires ?? [])
      .filter((wire) => !wire.internal)
      .map((wire) => [
        wire.label ?? '',
        endWords(circuit!, wire.from),
        endWords(circuit!, wire.to),
        wire.colour ?? '',
        wire.gauge ?? '',
        wire.purpose ?? '',
      ]),
  };
}

function readings(wiring: JobWiring | null): Table {
  return {
    name: 'readings',
    header: ['state', 'from', 'to', 'expected', 'read', 'verdict'],
    rows: (wiring?.judged ?? []).map(({ reading, expected, verdict }) => [
      reading.state,
      'through' in reading ? `through ${reading.through}` : reading.from,
      'through' in reading ? '' : reading.to,
      Math.round(expected * 1000) / 1000,
      printQuantity(reading.reads),
      verdict,
    ]),
  };
}

function tests({ tests: list }: Proving): Table {
  return {
    name: 'tests',
    header: ['group', 'test', 'expected', 'result', 'value', 'unit', 'words'],
    rows: list.map(({ test, result, value, word }) => [
      test.group,
      test.title,
      test.expect,
      result ?? 'open',
      value,
      test.measure?.unit ?? '',
      word,
    ]),
  };
}

function calibrations({ calibrations: list }: Proving): Table {
  return {
    name: 'calibrations',
    header: [
      'date',
      'probe',
      'code',
      'before',
      'after',
      'unit',
      'reading °C',
      'reference °C',
      'reference',
      'serial',
      'reference due',
      'next due',
    ],
    rows: list.flatMap((c) =>
      c.points.map((p) => [
        c.date,
        c.probe,
        c.code ?? '',
        c.before,
        c.after,
        c.unit,
        p.reading,
        p.reference,
        c.reference.name,
        c.reference.serial,
        c.reference.due,
        c.nextDue,
      ]),
    ),
  };
}

function followUps({ followUps: list }: Proving): Table {
  return {
    name: 'follow-ups',
    header: ['due', 'what', 'done'],
    rows: list.map((f) => [f.due, f.what, f.done ? 'yes' : 'no']),
  };
}
