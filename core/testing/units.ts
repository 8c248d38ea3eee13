import { UNIT_FORMAT, type GoodsId, type UnitDescription } from '../src/foundation/unit/index.ts';
import { isFreezer, isHeated, type Application } from '../src/foundation/settings/index.ts';

/** What is usually kept in a kind of unit; chilled food where nothing is said. */
const kept: Readonly<Partial<Record<Application, GoodsId>>> = {
  walkInFreezer: 'frozenFood',
  reachInFreezer: 'frozenFood',
  iceCreamCabinet: 'iceCream',
  cellar: 'ripeningCheese',
  chilledWaterTank: 'liveShellfish',
  vehicleFridge: 'drinks',
  pharmacyRefrigerator: 'medicine',
  hotCupboard: 'hotFood',
};

/** A plain unit of a kind, in Celsius, with air and coil probe and a door in normal use. */
export function plainUnit(application: Application, more: Partial<UnitDescription> = {}): UnitDescription {
  const noDefrost = isHeated(application) || application === 'chilledWaterTank';
  return {
    format: UNIT_FORMAT,
    application,
    goods: kept[application] ?? 'chilledFood',
    defrostMethod: noDefrost ? 'none' : isFreezer(application) ? 'electric' : 'offCycle',
    probes: ['air', 'coil'],
    displayUnit: 'celsius',
    ...more,
  };
}
