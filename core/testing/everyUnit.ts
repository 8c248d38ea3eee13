import type { Application } from '../src/foundation/settings/index.ts';
import type { GoodsId, UnitDescription } from '../src/foundation/unit/index.ts';

/** What is kept in a kind, and how its coil may be cleared. A cooler without any defrost is left out: it may well ice up. */
const kinds = {
  walkInCooler: [
    ['chilledFood', 'freshFish', 'freshMeat', 'dairy', 'produce', 'drinks', 'flowers'],
    ['offCycle', 'electric', 'hotGas'],
  ],
  walkInFreezer: [
    ['frozenFood', 'ice'],
    ['electric', 'hotGas'],
  ],
  reachInRefrigerator: [
    ['chilledFood', 'drinks'],
    ['offCycle', 'electric'],
  ],
  reachInFreezer: [
    ['frozenFood', 'iceCream'],
    ['electric', 'hotGas'],
  ],
  merchandiser: [
    ['drinks', 'dairy'],
    ['offCycle', 'electric'],
  ],
  iceCreamCabinet: [['iceCream'], ['electric', 'hotGas']],
  cellar: [
    ['cellaredDrinks', 'ripeningCheese'],
    ['none', 'offCycle'],
  ],
  vehicleFridge: [
    ['chilledFood', 'drinks'],
    ['none', 'offCycle'],
  ],
  pharmacyRefrigerator: [['medicine'], ['offCycle', 'electric']],
  hotCupboard: [['hotFood'], ['none']],
  transportUnit: [
    ['chilledFood', 'frozenFood'],
    ['electric', 'hotGas'],
  ],
  chilledWaterTank: [['liveShellfish', 'drinks'], ['none']],
  condenserFans: [['nothing'], ['none']],
} as const satisfies Partial<
  Record<Application, readonly [readonly GoodsId[], readonly UnitDescription['defrostMethod'][]]>
>;

export type ColdKind = keyof typeof kinds;
export const coldKinds = Object.keys(kinds) as readonly ColdKind[];
const ambients = [25, 32, 38] as const;
const doors = ['seldom', 'normal', 'busy'] as const;
/** Kinds that may hang on a rack. */
const onRacks: readonly ColdKind[] = ['walkInCooler', 'walkInFreezer', 'merchandiser'];

/** Every ordinary new unit of a kind: product × defrost × door × duty × ambient. */
export function unitsOf(kind: ColdKind): readonly UnitDescription[] {
  const [goods, methods] = kinds[kind];
  const duties = onRacks.includes(kind) ? (['direct', 'rackSolenoid'] as const) : (['direct'] as const);
  return goods.flatMap((what) =>
    methods.flatMap((defrostMethod) =>
      doors.flatMap((doorUse) =>
        duties.flatMap((compressor) =>
          ambients.map((ambient) => ({
            format: 'brine-dial/unit@1' as const,
            application: kind,
            goods: what,
            defrostMethod,
            probes:
              kind === 'condenserFans'
                ? (['liquid'] as const)
                : kind === 'hotCupboard'
                  ? (['air'] as const)
                  : (['air', 'coil'] as const),
            compressor,
            doorUse,
            ambient: { value: ambient, unit: 'degC' as const },
            displayUnit: 'fahrenheit' as const,
          })),
        ),
      ),
    ),
  );
}
