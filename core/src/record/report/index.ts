export { type CustomerReport, type ReportPeriod, type UnitReport } from './report.ts';
export { reportTables } from './tables.ts';
export { type ReportedLog, unitReport, type UnitReportInput } from './unitReport.ts';
