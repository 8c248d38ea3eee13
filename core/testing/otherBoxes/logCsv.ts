/** Columns that a logger of a test box may have. */
export type LogRole = 'air' | 'coil' | 'compressor' | 'defrost' | 'fan' | 'door' | 'ambient';

/** One row as it was logged. */
export type LoggedRow = Readonly<Record<LogRole, number>> & { readonly t: number };

const names: Readonly<Record<LogRole, string>> = {
  air: 'air_degC',
  coil: 'coil_degC',
  compressor: 'compressor',
  defrost: 'defrost',
  fan: 'fan',
  door: 'door',
  ambient: 'ambient_degC',
};

/** When a log begins whose first row is at second 0, s of Unix time. */
export const LOGS_BEGIN = Date.UTC(2026, 2, 2) / 1000;

/** A log as a logger writes it: times as clock time, the columns that it has. */
export function logCsv(rows: readonly LoggedRow[], columns: readonly LogRole[]): string {
  const lines = rows.map((row) => {
    const time = new Date((LOGS_BEGIN + row.t) * 1000).toISOString().slice(0, 19);
    return [time, ...columns.map((role) => String(Math.round(row[role] * 1000) / 1000))].join(',');
  });
  return [['time', ...columns.map((role) => names[role])].join(','), ...lines].join('\n') + '\n';
}
