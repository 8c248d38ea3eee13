export { goods, type Goods, type GoodsId, goodsOf } from './goods.ts';
export { describeSide, type SchoolId, schools, sideOf, type Sides } from './schools.ts';
export {
  compressorDuties,
  defrostMethods,
  doorUses,
  type ProbeRole,
  probeRoleNames,
  probeRoles,
  readUnit,
  UNIT_FORMAT,
  type UnitDescription,
} from './unit.ts';
