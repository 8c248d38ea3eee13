export { type FactId, factIds, type Facts, factWords, usualFacts } from './facts/facts.ts';
export { factsOfUnit } from './facts/factsOfUnit.ts';
export { type ToolFactId, type ToolFacts, usualToolFacts } from './facts/toolFacts.ts';
export { boxFactIds, type BoxFactId } from './facts/boxFacts.ts';
export { shownUnitOfFact } from './facts/customary.ts';
export { goods, type Goods, type GoodsId, goodsOf } from './goods.ts';
export { describeSide, type SchoolId, schools, sideOf, type Sides } from './schools.ts';
export { plateAgainst, readPlate } from './plate.ts';
export { readSupplyText } from './supplyText.ts';
export {
  compressorDuties,
  type DefrostMethod,
  defrostMethods,
  doorUses,
  type ProbeRole,
  probeRoleNames,
  probePlaces,
  probeRoles,
  readUnit,
  UNIT_FORMAT,
  type UnitDescription,
} from './unit.ts';
