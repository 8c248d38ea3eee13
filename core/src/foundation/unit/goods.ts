import { baseValue, quantity, type Quantity } from '../quantities/index.ts';

/** Where a storage limit comes from and how sure it is. */
export interface StorageLimit {
  readonly value: Quantity;
  readonly source: string;
}

/** What is kept in a unit, and the limits its storage has. */
export interface Goods {
  readonly name: string;
  readonly frozen: boolean;
  /** The warmest the air may stand for the goods' sake; null where no number is published. */
  readonly max: StorageLimit | null;
  /** The coldest, where cold spoils them. */
  readonly min: StorageLimit | null;
}

const FROZEN: StorageLimit = {
  value: quantity(-18, 'degC'),
  source: 'Directive 89/108/EEC Art. 5(1), from memory',
};
const FOOD_CODE: StorageLimit = {
  value: quantity(41, 'degF'),
  source: 'FDA Food Code 2022 §3-501.16(A)(2), from memory',
};
const FREEZING: StorageLimit = { value: quantity(0, 'degC'), source: 'freezing point of water' };
const practice = (value: Quantity): StorageLimit => ({ value, source: 'common practice' });

/**
 * Goods the planner knows. The list is closed on purpose: a limit that nobody stated is not invented. Food and medicine that was out
 * of range stays the owner's and the authority's decision.
 */
export const goods = {
  frozenFood: { name: 'Frozen food', frozen: true, max: FROZEN, min: null },
  frozenFish: { name: 'Frozen fish', frozen: true, max: FROZEN, min: null },
  iceCream: { name: 'Ice cream', frozen: true, max: practice(quantity(-18, 'degC')), min: null },
  ice: { name: 'Bagged ice', frozen: true, max: practice(quantity(-5, 'degC')), min: null },
  chilledFood: { name: 'Chilled food', frozen: false, max: FOOD_CODE, min: FREEZING },
  freshFish: {
    name: 'Fresh fish on ice',
    frozen: false,
    max: practice(quantity(2, 'degC')),
    min: practice(quantity(-1, 'degC')),
  },
  freshMeat: {
    name: 'Fresh meat',
    frozen: false,
    max: practice(quantity(4, 'degC')),
    min: practice(quantity(-1, 'degC')),
  },
  dairy: { name: 'Milk and dairy', frozen: false, max: FOOD_CODE, min: FREEZING },
  produce: {
    name: 'Fruit and vegetables',
    frozen: false,
    max: practice(quantity(7, 'degC')),
    min: practice(quantity(1, 'degC')),
  },
  drinks: { name: 'Drinks', frozen: false, max: practice(quantity(8, 'degC')), min: FREEZING },
  flowers: {
    name: 'Cut flowers',
    frozen: false,
    max: practice(quantity(6, 'degC')),
    min: practice(quantity(1, 'degC')),
  },
  medicine: {
    name: 'Medicine and vaccines',
    frozen: false,
    max: { value: quantity(8, 'degC'), source: 'USP <659> “refrigerator”, 2 to 8 °C, from memory' },
    min: { value: quantity(2, 'degC'), source: 'USP <659> “refrigerator”, 2 to 8 °C, from memory' },
  },
  cellaredDrinks: {
    name: 'Casks and kegs',
    frozen: false,
    max: practice(quantity(14, 'degC')),
    min: practice(quantity(8, 'degC')),
  },
  wine: {
    name: 'Wine',
    frozen: false,
    max: practice(quantity(16, 'degC')),
    min: practice(quantity(8, 'degC')),
  },
  ripeningCheese: {
    name: 'Ripening cheese',
    frozen: false,
    max: practice(quantity(15, 'degC')),
    min: practice(quantity(8, 'degC')),
  },
  liveShellfish: {
    name: 'Live shellfish in sea water',
    frozen: false,
    max: practice(quantity(12, 'degC')),
    min: practice(quantity(4, 'degC')),
  },
  hotFood: {
    name: 'Hot food',
    frozen: false,
    max: null,
    min: { value: quantity(135, 'degF'), source: 'FDA Food Code 2022 §3-501.16(A)(1), from memory' },
  },
  own: { name: 'A product of your own', frozen: false, max: null, min: null },
  nothing: { name: 'Nothing: a machine', frozen: false, max: null, min: null },
} as const satisfies Readonly<Record<string, Goods>>;

export type GoodsId = keyof typeof goods;

/** True for goods this version knows. */
export function isGoodsId(candidate: unknown): candidate is GoodsId {
  return typeof candidate === 'string' && Object.hasOwn(goods, candidate);
}

/** A product that a company keeps and that stands in no list: its limits, and where they come from. */
export interface OwnProduct {
  readonly name: string;
  readonly min?: Quantity;
  readonly max?: Quantity;
  /** A data sheet, a rule, the owner's word. */
  readonly source?: string;
}

/** Kept below this it is frozen, °C. */
const FROZEN_BELOW = -10;

/** What a unit keeps: the goods of the list, or its own product with the limits that were stated. */
export function goodsOf({
  goods: id,
  product,
}: {
  readonly goods: GoodsId;
  readonly product?: OwnProduct;
}): Goods {
  if (id !== 'own' || !product) return goods[id];
  const source = product.source ?? 'as stated on site';
  const limit = (value: Quantity | undefined) => (value ? { value, source } : null);
  return {
    name: product.name,
    frozen: product.max !== undefined && baseValue(product.max) < FROZEN_BELOW,
    max: limit(product.max),
    min: limit(product.min),
  };
}
