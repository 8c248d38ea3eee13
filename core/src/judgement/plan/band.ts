import { sentence, type Sentence } from '../../foundation/sentences/index.ts';
import {
  ceilTo,
  floorTo,
  quantity,
  roundTo,
  valueIn,
  type Quantity,
} from '../../foundation/quantities/index.ts';
import { describeSide, factsOfUnit } from '../../foundation/unit/index.ts';
import { tankOf } from '../../machines/tank/index.ts';
import { differenceOf, temperatureAt, type Draft, type PlanBasis } from './planned.ts';

/** How far cut-in stays below the goods' limit, so that door openings do not carry the air over it: K. Common practice. */
const MARGIN_K = { seldom: 0.5, normal: 1, busy: 1.5 } as const;
/** A busy freezer: warm air and its defrosts lift the product above the mean of the air, K. Common practice: a degree or two colder where the door is busy. */
const BUSY_FREEZER_K = 2.5;

const marginFor = ({ freezer, unit }: PlanBasis): number =>
  freezer && unit.doorUse === 'busy' ? BUSY_FREEZER_K : MARGIN_K[unit.doorUse ?? 'normal'];

/** The band: cut-out and cut-in, computed from the goods downward. */
export interface Band {
  readonly setpoint: Quantity;
  readonly differential: Quantity;
  readonly cutIn: Quantity;
}

/**
 * Cut-in lies a margin below the warmest the goods may stand; the differential below that gives cut-out. For goods that cold spoils the
 * differential shrinks until cut-out stays above their lower limit, down to 2 dF (1 K). All in whole degrees of the display, rounded to
 * the cold side. Frozen food (−18 °C), normal door, wide: −3 °F down to −9 °F.
 */
export function bandFor(basis: PlanBasis): Band {
  const limit =
    basis.goods.max?.value ?? temperatureAt(basis, basis.freezer ? 0 : 41, basis.freezer ? -18 : 5);
  if (basis.heated) return heatedBand(basis);
  const degrees = basis.fahrenheit ? 'degF' : 'degC';
  const width = basis.fahrenheit ? 'deltaF' : 'K';
  const least = basis.fahrenheit ? 2 : 1;
  const margin = valueIn(quantity(marginFor(basis), 'K'), width);
  const floor = coldest(basis);
  const belowLimit = floorTo(valueIn(limit, degrees) - margin, 1);
  // Goods with a narrow range, such as fish on ice: the margin gives way before the band does.
  const cutIn =
    floor === null
      ? belowLimit
      : Math.min(Math.max(belowLimit, floor + least), floorTo(valueIn(limit, degrees), 1));
  const wanted = widthFor(basis).value;
  const differential = floor === null ? wanted : Math.max(least, Math.min(wanted, floorTo(cutIn - floor, 1)));
  return {
    setpoint: quantity(roundTo(cutIn - differential, 1), degrees),
    differential: quantity(differential, width),
    cutIn: quantity(cutIn, degrees),
  };
}

/** Heating begins a margin above the coldest the goods may stand and ends the differential higher; whole degrees, rounded to the warm side. */
function heatedBand(basis: PlanBasis): Band {
  const degrees = basis.fahrenheit ? 'degF' : 'degC';
  const least = basis.goods.min?.value ?? temperatureAt(basis, 135, 57);
  const margin = valueIn(
    quantity(HOT_MARGIN_K * MARGIN_K[basis.unit.doorUse ?? 'normal'], 'K'),
    basis.fahrenheit ? 'deltaF' : 'K',
  );
  const cutIn = ceilTo(valueIn(least, degrees) + margin, 1);
  const differential = widthFor(basis);
  return {
    setpoint: quantity(cutIn + differential.value, degrees),
    differential,
    cutIn: quantity(cutIn, degrees),
  };
}

/** Hot air cools fast behind an open door: the margin is wider than in the cold, as a factor. Common practice. */
const HOT_MARGIN_K = 5;

/** Below this a coil cleared by box air freezes up: 34 °F (1 °C), common practice. */
const OFF_CYCLE_FLOOR = { degF: 34, degC: 1 } as const;

/** The coldest cut-out: what the goods stand, and what box air can still melt at; null for freezers. Whole display degrees. */
function coldest(basis: PlanBasis): number | null {
  if (basis.freezer) return null;
  const degrees = basis.fahrenheit ? 'degF' : 'degC';
  if (basis.application === 'chilledWaterTank') return coldestWater(basis, degrees);
  const goodsFloor = basis.goods.min
    ? ceilTo(valueIn(basis.goods.min.value, degrees), 1)
    : Number.NEGATIVE_INFINITY;
  const coilFloor =
    basis.unit.defrostMethod === 'offCycle' ? OFF_CYCLE_FLOOR[degrees] : Number.NEGATIVE_INFINITY;
  const floor = Math.max(goodsFloor, coilFloor);
  return Number.isFinite(floor) ? floor : null;
}

/** Kept above where the chiller ices, K: the water runs on a little below cut-out. */
const ICE_ROOM_K = 1;

/** The coldest cut-out of a tank: where its chiller's surface stays clear of ice, and what lives in it stands. */
function coldestWater(basis: PlanBasis, degrees: 'degF' | 'degC'): number {
  const tank = tankOf(factsOfUnit(basis.unit));
  const clear = tank.freezing + tank.surfaceBelow + ICE_ROOM_K;
  const least = basis.goods.min ? valueIn(basis.goods.min.value, degrees) : Number.NEGATIVE_INFINITY;
  return ceilTo(Math.max(least, valueIn(quantity(clear, 'degC'), degrees)), 1);
}

function widthFor(basis: PlanBasis): Quantity {
  const tight = basis.side('differential') === 'tight';
  if (basis.freezer) return tight ? differenceOf(basis, 4, 2) : differenceOf(basis, 6, 3);
  if (basis.heated) return tight ? differenceOf(basis, 4, 2) : differenceOf(basis, 6, 3);
  // In a bottle a swing of the air is hardly seen: what the probe shows is held closer.
  if (basis.unit.probePlace === 'bottle') return differenceOf(basis, 2, 1);
  if (['chilledWaterTank', 'pharmacyRefrigerator'].includes(basis.application))
    return tight ? differenceOf(basis, 2, 1) : differenceOf(basis, 3, 2);
  // A battery fridge and a walk-in or cellar whose users watch the dial are held closer.
  const walkIn = ['walkInCooler', 'cellar', 'vehicleFridge'].includes(basis.application);
  if (walkIn) return tight ? differenceOf(basis, 2, 1) : differenceOf(basis, 4, 2);
  return tight ? differenceOf(basis, 3, 2) : differenceOf(basis, 5, 3);
}

/**
 * How far up a narrow range goes: not at all where it may go down. A set point that stands at its coldest already gets the room that its limit leaves above cut-in, since
 * a range from 34 to 34 °F leaves the user nothing.
 */
function roomAbove(basis: PlanBasis, band: Band, lowest: number): Quantity {
  const { unit } = band.differential;
  const limit = basis.goods.max?.value;
  if (lowest < band.setpoint.value || !limit) return quantity(0, unit);
  const room = floorTo(valueIn(limit, band.cutIn.unit) - band.cutIn.value, 1);
  return quantity(Math.max(0, Math.min(2, room)), unit);
}

/** Regulation and the end user's range. */
export function planBand(basis: PlanBasis): readonly Draft[] {
  const band = bandFor(basis);
  const limit = basis.heated ? basis.goods.min : basis.goods.max;
  const limitText: Sentence = limit
    ? sentence`${basis.goods.name.toLowerCase()} may stand at ${limit.value} (${limit.source})`
    : 'common practice';
  const door = basis.unit.doorUse ?? 'normal';
  const narrow = basis.side('userRange') === 'narrow';
  const down = narrow ? differenceOf(basis, 4, 2) : differenceOf(basis, 10, 6);
  if (basis.heated) return heatedDrafts(basis, band, limitText);
  const lowest = Math.max(
    band.setpoint.value - down.value,
    Math.min(band.setpoint.value, coldest(basis) ?? Number.NEGATIVE_INFINITY),
  );
  const up = narrow ? roomAbove(basis, band, lowest) : differenceOf(basis, 5, 3);
  return [
    { setting: 'regulation.action', value: 'cool', reason: 'The first stage cools.' },
    {
      setting: 'regulation.setpoint',
      value: band.setpoint,
      reason: sentence`Cut-in at ${band.cutIn} keeps the air under the limit with the door used ${door === 'normal' ? 'normally' : door}: ${limitText}. Cut-out lies ${band.differential} below it.`,
    },
    {
      setting: 'regulation.differential',
      value: band.differential,
      // In a bottle neither side is taken: what the probe shows is held close whatever the company prefers.
      ...(basis.unit.probePlace === 'bottle' && !basis.freezer
        ? {
            reason: sentence`Runs from ${band.cutIn} down to ${band.setpoint}: in its bottle the probe hardly sees a swing of the air.`,
          }
        : {
            reason: sentence`Runs from ${band.cutIn} down to ${band.setpoint}; ${describeSide('differential', basis.side('differential'))}.`,
            school: 'differential' as const,
          }),
    },
    {
      setting: 'regulation.differentialPlacement',
      value: 'setpointIsCutOut',
      reason:
        'On most controls the set point is where cooling stops; a control that means it otherwise gets its set point moved.',
    },
    {
      setting: 'regulation.setpointMin',
      value: quantity(lowest, band.setpoint.unit),
      reason:
        lowest < band.setpoint.value
          ? sentence`The user may go ${quantity(band.setpoint.value - lowest, down.unit)} colder; ${describeSide('userRange', basis.side('userRange'))}.`
          : 'Not colder than the set point: the product or the coil stands no more.',
      school: 'userRange',
    },
    {
      setting: 'regulation.setpointMax',
      value: quantity(band.setpoint.value + up.value, band.setpoint.unit),
      reason: narrow
        ? up.value > 0
          ? sentence`The user may go ${up} warmer: cut-in then still keeps the limit of the product.`
          : `Not warmer than the set point: cut-in would pass the limit of the product.`
        : sentence`The user may go ${up} warmer; cut-in may then pass the limit of the product.`,
      school: 'userRange',
    },
  ];
}

/** The same for what keeps warm: everything mirrored. */
function heatedDrafts(basis: PlanBasis, band: Band, limitText: Sentence): readonly Draft[] {
  const up = differenceOf(basis, 10, 5);
  return [
    { setting: 'regulation.action', value: 'heat', reason: 'The first stage heats: this unit keeps warm.' },
    {
      setting: 'regulation.setpoint',
      value: band.setpoint,
      reason: sentence`Heating begins at ${band.cutIn}, above the least the product may have: ${limitText}. It ends ${band.differential} higher.`,
    },
    {
      setting: 'regulation.differential',
      value: band.differential,
      reason: sentence`Heats from ${band.cutIn} up to ${band.setpoint}; ${describeSide('differential', basis.side('differential'))}.`,
      school: 'differential',
    },
    {
      setting: 'regulation.differentialPlacement',
      value: 'setpointIsCutOut',
      reason:
        'The set point is where heating stops; a control that means it otherwise gets its set point moved.',
    },
    {
      setting: 'regulation.setpointMin',
      value: band.setpoint,
      reason: 'Not colder than the set point: heating would begin below the limit of the product.',
      school: 'userRange',
    },
    {
      setting: 'regulation.setpointMax',
      value: quantity(band.setpoint.value + up.value, band.setpoint.unit),
      reason: sentence`The user may go ${up} warmer.`,
      school: 'userRange',
    },
  ];
}
