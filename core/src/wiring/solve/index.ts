export { networkOf, loadAdmittance, type Network, type Placed } from './network.ts';
export {
  settle,
  isSettled,
  branchAmps,
  type Asked,
  type Effect,
  type Settled,
  type Unsettled,
} from './settle.ts';
export { metalPaths, currentPaths, groupsOf, isFed, type Groups } from './paths.ts';
export {
  voltsBetween,
  isFirm,
  ohmsBetween,
  partAmps,
  partVolts,
  highestVolts,
  openVolts,
} from './reading.ts';
export { statesOf, deadState } from './states.ts';
export * from './constants.ts';
