export { ampsOf } from './amps.ts';
export {
  type Circuit,
  CIRCUIT_FORMAT,
  contactEnds,
  type ContactorPart,
  type ContactRatings,
  type ContactPart,
  type LoadPart,
  nameOf,
  type Part,
  partOfEnd,
  type SupplyLine,
  terminalsOf,
  type Wire,
  wireIds,
} from './circuit.ts';
export { endWords } from './endWords.ts';
export { expectedLoad, type LoadKind } from './expected.ts';
export { expectedAmps, HEATER_LESS, HEATER_MORE, type HeaterConnection, recogniseHeater } from './heater.ts';
export { endsOf, partProblem, readCircuit, supplyProblem, wireProblem } from './readCircuit.ts';
export { motorRoles } from './roles.ts';
export { wiresWithout } from './withoutPart.ts';
