import type { Cell } from '../handover/index.ts';
import type { CustomerReport, UnitReport } from './report.ts';

/** A sheet of the report's spreadsheet. */
export interface ReportTable {
  readonly name: string;
  readonly header: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** The report as tables: a line a unit, and what belongs to units under their tag and name. */
export function reportTables({ units }: CustomerReport): readonly ReportTable[] {
  const own = ['site', 'tag', 'unit'];
  const table = (
    name: string,
    header: readonly string[],
    rows: (unit: UnitReport) => readonly (readonly Cell[])[],
  ): ReportTable => ({
    name,
    header: [...own, ...header],
    rows: units.flatMap((unit) => rows(unit).map((row) => [unit.site, unit.tag, unit.name, ...row])),
  });
  const yes = (is: boolean) => (is ? 'yes' : 'no');
  return [
    table('Units', ['plate', 'control', 'set to', 'planned, not in it yet', 'excursions', 'open'], (unit) => [
      [
        unit.plate,
        unit.control,
        unit.setTo.join(' '),
        unit.notYet,
        unit.excursions.length,
        unit.open.map(({ words }) => words).join(', '),
      ],
    ]),
    table('Settings now', ['code', 'meaning', 'value'], (unit) =>
      unit.settings.map(({ code, meaning, value }) => [code, meaning, value]),
    ),
    table('Work done', ['day', 'what', 'by'], (unit) =>
      unit.work.map(({ day, words, by }) => [day, words, by]),
    ),
    table('Logs', ['log', 'from', 'to', 'what'], (unit) =>
      unit.logs.map(({ name, from, to, words }) => [name, from, to, words]),
    ),
    table('Excursions', ['log', 'from', 'to', 'minutes', 'what'], (unit) =>
      unit.excursions.map(({ log, from, to, minutes, words }) => [log, from, to, minutes, words]),
    ),
    table('Calibrations', ['probe', 'day', 'what', 'next due', 'overdue'], (unit) =>
      unit.calibrations.map((c) => [c.probe, c.day, c.words, c.nextDue, yes(c.overdue)]),
    ),
    table('Open', ['what', 'why', 'due', 'overdue'], (unit) => [
      ...unit.open.map(({ words, because }) => [words, because, '', ''] as const),
      ...unit.next.map(({ due, what, overdue }) => [what, '', due, yes(overdue)] as const),
    ]),
  ];
}
