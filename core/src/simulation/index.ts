export * from './readLog.ts';
export * from './replay.ts';
export * from './scenario.ts';
export { doorUses, type DoorUse } from './doors.ts';
export type { Figures, Spread } from './figures.ts';
export { simulate, type Sample, type Simulated, type SimulateOptions } from './simulate.ts';
