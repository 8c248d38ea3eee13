/** Tables of a job that can be exported. */
export const tableNames = ['settings', 'wires', 'readings', 'tests', 'calibrations', 'follow-ups'] as const;
export type TableName = (typeof tableNames)[number];
