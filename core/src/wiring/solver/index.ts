export { LIVE_VOLTS, LOAD_ON, SUPPLY_OHMS } from './constants.ts';
export { eliminationOf } from './elimination.ts';
export { CLOSED, type Network, networkOf, OPEN, type Placed } from './network.ts';
export { currentPaths, type Groups, groupsOf, isFed, metalPaths } from './paths.ts';
export {
  highestVolts,
  isFirm,
  ohmsBetween,
  openVolts,
  partAmps,
  partVolts,
  voltsBetween,
  voltsToEarth,
} from './reading.ts';
export { branchAmps, type Effect, isSettled, settle, type Settled, type Unsettled } from './settle.ts';
export { deadState, statesOf } from './states.ts';
