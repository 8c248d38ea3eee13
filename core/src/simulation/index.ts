export * from './readLog.ts';
export * from './replay.ts';
export * from './scenario.ts';
export { doorUses, type DoorUse } from './doors.ts';
export type { Figures, Spread, StorageLimits } from './figures.ts';
export { judgeRun } from './judge.ts';
export { readVary, sweep, type Swept, type SweepRow, type Vary } from './sweep.ts';
export { seriesCsv } from './seriesCsv.ts';
export { simulate, type Sample, type Simulated, type SimulateOptions } from './simulate.ts';
