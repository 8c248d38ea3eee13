/** Roles of loads whose start draws several times the running current, and whose ohms do not follow from their watts. */
export const motorRoles: ReadonlySet<string> = new Set([
  'compressor',
  'evaporatorFan',
  'condenserFan',
  'pump',
]);
