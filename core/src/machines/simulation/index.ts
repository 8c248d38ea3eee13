export type { DoorHabit } from './doorHabit.ts';
export { doorOf, usualDoor } from './doors.ts';
export type { DoorUse } from '../box/index.ts';
export type { Figures, Spread, StorageLimits } from './figures.ts';
export { gapSentence, logGaps } from './logGaps.ts';
export { readLog } from './readLog.ts';
export { replay, type Replayed } from './replay.ts';
export {
  type Fault,
  type FaultKind,
  faultKinds,
  type PlantKind,
  plantKindOf,
  readScenario,
  type Scenario,
} from './scenario.ts';
export { beginsAt, boxOfScenario, restingDrive, usualBoxOf } from './scenarioBox.ts';
export { dailyCourse, type OwnPlant } from './ownPlant.ts';
export { seriesCsv } from './seriesCsv.ts';
export { type Sample, simulate, type Simulated } from './simulate.ts';
export { readVary, sweep } from './sweep.ts';
export { type Pour, stagesDay } from './stagesDay.ts';
export { UnitRun } from './unitRun.ts';
