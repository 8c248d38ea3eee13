import { baseValue } from '../../foundation/quantities/index.ts';
import { goodsOf, type Goods, type GoodsId, type UnitDescription } from '../../foundation/unit/index.ts';

export type RunMode = 'continuous' | 'startStop';

/** How to run the engine, and why. */
export interface RunModeAdvice {
  readonly mode: RunMode;
  readonly why: string;
  /** What the other way would cost. */
  readonly other: string;
}

/** Load that breathes: it gives off heat, water and gas all the way (common practice). */
const breathes: ReadonlySet<GoodsId> = new Set<GoodsId>([
  'produce',
  'flowers',
  'liveShellfish',
  'ripeningCheese',
]);
/** Held in a few kelvin by rule. */
const narrow: ReadonlySet<GoodsId> = new Set<GoodsId>(['medicine', 'freshFish', 'freshMeat']);

/** Within so many kelvins a range is narrow (ours: twice the swing of start-stop). */
const NARROW_K = 6;

const isNarrow = ({ min, max }: Goods): boolean =>
  min !== null && max !== null && baseValue(max.value) - baseValue(min.value) <= NARROW_K;

/** Continuous for what breathes or has a narrow range, start-stop for frozen and the rest. Common practice. */
export function runModeFor(unit: Pick<UnitDescription, 'goods' | 'product'>): RunModeAdvice {
  const { goods: id } = unit;
  const kept = goodsOf(unit);
  const { name, frozen } = kept;
  if (breathes.has(id))
    return {
      mode: 'continuous',
      why: `${name} breathe: they give off heat and moisture all the way, and still air lets it stand between the packs.`,
      other: 'Start-stop saves fuel, but warm nests grow in the load while the fan is off.',
    };
  if (frozen)
    return {
      mode: 'startStop',
      why: `${name}: a frozen load holds itself for the length of an off-cycle, and nothing in it breathes.`,
      other: 'Continuous burns more fuel and dries out what is not wrapped.',
    };
  if (narrow.has(id) || (id === 'own' && isNarrow(kept)))
    return {
      mode: 'continuous',
      why: `${name}: the range is narrow, and a swing of start-stop takes up most of it.`,
      other: 'Start-stop saves fuel at the price of a wider swing of the air.',
    };
  return {
    mode: 'startStop',
    why: `${name}: wrapped and cold when loaded; an off-cycle of some minutes does it no harm.`,
    other: 'Continuous holds the air closer and burns more fuel; take it for short trips with many stops.',
  };
}
