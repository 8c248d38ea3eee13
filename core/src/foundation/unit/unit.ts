import { readHeader, type FileProblem } from '../files/index.ts';
import { baseValue, dimensionOf, expectedForm, isQuantity, type Quantity } from '../quantities/index.ts';
import { applications, isApplication, type Application } from '../settings/index.ts';
import { goods, isGoodsId, type GoodsId, type OwnProduct } from './goods.ts';
import { factWords, isFactId, type FactId } from './facts/facts.ts';
import { schools, type SchoolId, type Sides } from './schools.ts';

export const UNIT_FORMAT = 'brine-dial/unit@1';

export const defrostMethods = ['none', 'offCycle', 'electric', 'hotGas'] as const;
export type DefrostMethod = (typeof defrostMethods)[number];

export const doorUses = ['seldom', 'normal', 'busy'] as const;
export type DoorUse = (typeof doorUses)[number];

export const probePlaces = ['air', 'bottle'] as const;
/** Where an air probe hangs: in the moving air, or in a bottle of glycol that follows it as slowly as what is kept. */
export type ProbePlace = (typeof probePlaces)[number];

export const compressorDuties = ['direct', 'rackSolenoid', 'pumpDown'] as const;
/**
 * What the cooling relay switches: a compressor of its own, a solenoid valve on a rack that protects its compressors itself, or a solenoid valve before a condensing unit of its
 * own that pumps down and stops by its low-pressure switch.
 */
export type CompressorDuty = (typeof compressorDuties)[number];

export const probeRoles = [
  'air',
  'coil',
  'secondCoil',
  'product',
  'liquid',
  'secondLiquid',
  'outdoor',
  'supply',
  'return',
] as const;
export type ProbeRole = (typeof probeRoles)[number];

/** Probes in words. */
export const probeRoleNames: Readonly<Record<ProbeRole, string>> = {
  air: 'Air',
  coil: 'Coil',
  secondCoil: 'Second coil',
  product: 'Product',
  liquid: 'Liquid line',
  secondLiquid: 'Second liquid line',
  outdoor: 'Outdoor air',
  supply: 'Supply pipe',
  return: 'Return pipe',
};

/** Everything the planner must know of a refrigerated unit. */
export interface UnitDescription {
  readonly format: typeof UNIT_FORMAT;
  readonly name?: string;
  readonly application: Application;
  readonly goods: GoodsId;
  /** What is kept where `goods` is `own`. */
  readonly product?: OwnProduct;
  readonly defrostMethod: DefrostMethod;
  readonly probes: readonly ProbeRole[];
  readonly compressor?: CompressorDuty;
  readonly ambient?: Quantity;
  readonly doorUse?: DoorUse;
  readonly doorContact?: boolean;
  /** A relay of its own heats where the unit must not get too cold: a cellar in winter, a tank, a cabinet in a cold room. */
  readonly heats?: boolean;
  /** Its drain water is pumped away. */
  readonly drainPump?: boolean;
  /** Where the air probe hangs: in the moving air, or in a bottle that follows the product. */
  readonly probePlace?: ProbePlace;
  /** The control has an input of its own by which the fans are made quiet. */
  readonly quietInput?: boolean;
  readonly refrigerant?: string;
  readonly supply?: { readonly volts: number; readonly phases?: number; readonly kind?: 'ac' | 'dc' };
  readonly displayUnit?: 'celsius' | 'fahrenheit';
  readonly schools?: Sides;
  readonly companyDefaults?: Sides;
  /** Consumers as written; the rooms that need them read them and say what does not fit. */
  readonly loads?: unknown;
  /** Types of probes that are already in the unit. */
  readonly probeTypes?: readonly string[];
  /** What was measured or is known on site, by the ids of facts; in their own units, temperatures in °C. */
  readonly facts?: Readonly<Partial<Record<FactId, number>>>;
  /** The control has to report over a bus. */
  readonly bus?: boolean;
  /** The unit's own box as it was learned from its log: values of the parameters of a `*.box.json`, in their own units. It is run in the place of the usual box of the kind. */
  readonly learned?: Readonly<Record<string, number>>;
}

/** Reads a parsed `*.unit.json`: the first field that does not fit, in a sentence, or the description. */
export function readUnit(data: unknown): UnitDescription | FileProblem {
  const header = readHeader(data, 'brine-dial/unit', 1);
  if ('problem' in header) return header;
  const unit = header.data;
  const problem =
    (isApplication(unit['application']) ? null : oneOf('application', unit['application'], applications)) ??
    (isGoodsId(unit['goods']) ? null : oneOf('goods', unit['goods'], Object.keys(goods))) ??
    listed('defrostMethod', unit['defrostMethod'], defrostMethods, true) ??
    probesProblem(unit['probes']) ??
    listed('compressor', unit['compressor'], compressorDuties) ??
    listed('doorUse', unit['doorUse'], doorUses) ??
    listed('probePlace', unit['probePlace'], probePlaces) ??
    flagProblem(unit, ['doorContact', 'quietInput', 'heats', 'drainPump', 'bus']) ??
    productProblem(unit['goods'], unit['product']) ??
    listed('displayUnit', unit['displayUnit'], ['celsius', 'fahrenheit']) ??
    ambientProblem(unit['ambient']) ??
    probeTypesProblem(unit['probeTypes']) ??
    factsProblem(unit['facts']) ??
    learnedProblem(unit['learned']) ??
    sidesProblem('schools', unit['schools']) ??
    sidesProblem('companyDefaults', unit['companyDefaults']);
  return problem ?? (unit as unknown as UnitDescription);
}

function listed(
  field: string,
  value: unknown,
  allowed: readonly string[],
  required = false,
): FileProblem | null {
  if (value === undefined && !required) return null;
  return allowed.includes(value as string) ? null : oneOf(field, value, allowed);
}

function oneOf(field: string, value: unknown, allowed: readonly string[]): FileProblem {
  return {
    problem: true,
    field,
    message: `expected one of ${allowed.join(', ')}, found ${(JSON.stringify(value) as string | undefined) ?? 'nothing'}`,
  };
}

function flagProblem(unit: Readonly<Record<string, unknown>>, fields: readonly string[]): FileProblem | null {
  const field = fields.find((id) => unit[id] !== undefined && typeof unit[id] !== 'boolean');
  return field === undefined ? null : { problem: true, field, message: 'expected true or false' };
}

/** A product of one's own: a name and at least one limit. */
function productProblem(goodsId: unknown, value: unknown): FileProblem | null {
  const wrong = (field: string, message: string): FileProblem => ({ problem: true, field, message });
  if (value === undefined)
    return goodsId === 'own' ? wrong('product', 'expected the name and a limit of your own product') : null;
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return wrong('product', 'expected {"name", "max", "min", "source"}');
  const { name, min, max, source } = value as Readonly<Record<string, unknown>>;
  if (typeof name !== 'string' || name.trim() === '') return wrong('product.name', 'expected a name');
  if (source !== undefined && typeof source !== 'string') return wrong('product.source', 'expected words');
  for (const [field, limit] of Object.entries({ min, max }))
    if (limit !== undefined && !(isQuantity(limit) && dimensionOf(limit.unit) === 'temperature'))
      return wrong(`product.${field}`, `expected ${expectedForm('temperature')} as {"value", "unit"}`);
  if (min === undefined && max === undefined)
    return wrong('product', 'expected the warmest or the coldest it may stand');
  if (isQuantity(min) && isQuantity(max) && baseValue(min) >= baseValue(max))
    return wrong('product.min', 'expected the coldest to lie below the warmest');
  return null;
}

function probesProblem(value: unknown): FileProblem | null {
  if (!Array.isArray(value))
    return { problem: true, field: 'probes', message: `expected a list of ${probeRoles.join(', ')}` };
  const odd = (value as unknown[]).find((role) => !probeRoles.includes(role as ProbeRole));
  return odd === undefined ? null : oneOf('probes', odd, probeRoles);
}

function probeTypesProblem(value: unknown): FileProblem | null {
  if (value === undefined || (Array.isArray(value) && value.every((type) => typeof type === 'string')))
    return null;
  return { problem: true, field: 'probeTypes', message: 'expected a list of types such as ntc10k' };
}

function factsProblem(value: unknown): FileProblem | null {
  if (value === undefined) return null;
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { problem: true, field: 'facts', message: 'expected an object from facts to numbers' };
  for (const [id, number] of Object.entries(value as Record<string, unknown>)) {
    if (!isFactId(id)) return oneOf(`facts.${id}`, id, Object.keys(factWords));
    const { from, to } = factWords[id];
    if (typeof number !== 'number' || !(number >= from && number <= to))
      return { problem: true, field: `facts.${id}`, message: `expected a number from ${from} to ${to}` };
  }
  return null;
}

function learnedProblem(value: unknown): FileProblem | null {
  if (value === undefined) return null;
  const message = 'expected an object from parameters of a box to numbers';
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { problem: true, field: 'learned', message };
  const odd = Object.entries(value).find(([, number]) => !Number.isFinite(number));
  return odd ? { problem: true, field: `learned.${odd[0]}`, message: 'expected a number' } : null;
}

function ambientProblem(value: unknown): FileProblem | null {
  if (value === undefined || (isQuantity(value) && dimensionOf(value.unit) === 'temperature')) return null;
  return {
    problem: true,
    field: 'ambient',
    message: `expected ${expectedForm('temperature')} as {"value", "unit"}`,
  };
}

function sidesProblem(field: string, value: unknown): FileProblem | null {
  if (value === undefined) return null;
  if (typeof value !== 'object' || value === null)
    return { problem: true, field, message: 'expected an object from schools to sides' };
  for (const [id, side] of Object.entries(value)) {
    if (!Object.hasOwn(schools, id)) return oneOf(`${field}.${id}`, id, Object.keys(schools));
    const sides = Object.keys(schools[id as SchoolId].sides);
    if (!sides.includes(side as string)) return oneOf(`${field}.${id}`, side, sides);
  }
  return null;
}
