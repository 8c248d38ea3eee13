import {
  ceilTo,
  floorTo,
  printQuantity,
  quantity,
  roundTo,
  valueIn,
  type Quantity,
} from '../../quantities/index.ts';
import { describeSide } from '../schools.ts';
import { differenceOf, temperatureAt, type Draft, type PlanBasis } from './planned.ts';

/** How far cut-in stays below the goods' limit, so that door openings do not carry the air over it: K. Common practice. */
const MARGIN_K = { seldom: 0.5, normal: 1, busy: 1.5 } as const;

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
  const degrees = basis.fahrenheit ? 'degF' : 'degC';
  const width = basis.fahrenheit ? 'deltaF' : 'K';
  const least = basis.fahrenheit ? 2 : 1;
  const margin = valueIn(quantity(MARGIN_K[basis.unit.doorUse ?? 'normal'], 'K'), width);
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

/** Below this a coil cleared by box air freezes up: 34 °F (1 °C), common practice. */
const OFF_CYCLE_FLOOR = { degF: 34, degC: 1 } as const;

/** The coldest cut-out: what the goods stand, and what box air can still melt at; null for freezers. Whole display degrees. */
function coldest(basis: PlanBasis): number | null {
  if (basis.freezer) return null;
  const degrees = basis.fahrenheit ? 'degF' : 'degC';
  const goodsFloor = basis.goods.min
    ? ceilTo(valueIn(basis.goods.min.value, degrees), 1)
    : Number.NEGATIVE_INFINITY;
  const coilFloor =
    basis.unit.defrostMethod === 'offCycle' ? OFF_CYCLE_FLOOR[degrees] : Number.NEGATIVE_INFINITY;
  const floor = Math.max(goodsFloor, coilFloor);
  return Number.isFinite(floor) ? floor : null;
}

function widthFor(basis: PlanBasis): Quantity {
  const tight = basis.side('differential') === 'tight';
  if (basis.freezer) return tight ? differenceOf(basis, 4, 2) : differenceOf(basis, 6, 3);
  const walkIn = basis.application === 'walkInCooler';
  if (walkIn) return tight ? differenceOf(basis, 2, 1) : differenceOf(basis, 4, 2);
  return tight ? differenceOf(basis, 3, 2) : differenceOf(basis, 5, 3);
}

/** Regulation and the end user's range. */
export function planBand(basis: PlanBasis): readonly Draft[] {
  const band = bandFor(basis);
  const limit = basis.goods.max;
  const limitText = limit
    ? `${basis.goods.name.toLowerCase()} may stand at ${printQuantity(limit.value)} (${limit.source})`
    : 'common practice';
  const door = basis.unit.doorUse ?? 'normal';
  const narrow = basis.side('userRange') === 'narrow';
  const up = narrow ? quantity(0, band.differential.unit) : differenceOf(basis, 5, 3);
  const down = narrow ? differenceOf(basis, 4, 2) : differenceOf(basis, 10, 6);
  const lowest = Math.max(
    band.setpoint.value - down.value,
    Math.min(band.setpoint.value, coldest(basis) ?? Number.NEGATIVE_INFINITY),
  );
  return [
    { setting: 'regulation.action', value: 'cool', reason: 'The first stage cools.' },
    {
      setting: 'regulation.setpoint',
      value: band.setpoint,
      reason: `Cut-in at ${printQuantity(band.cutIn)} keeps the air under the limit with the door used ${door === 'normal' ? 'normally' : door}: ${limitText}. Cut-out lies ${printQuantity(band.differential)} below it.`,
    },
    {
      setting: 'regulation.differential',
      value: band.differential,
      reason: `Runs from ${printQuantity(band.cutIn)} down to ${printQuantity(band.setpoint)}; ${describeSide('differential', basis.side('differential'))}.`,
      school: 'differential',
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
      reason: `The user may go ${printQuantity(quantity(band.setpoint.value - lowest, down.unit))} colder; ${describeSide('userRange', basis.side('userRange'))}.`,
      school: 'userRange',
    },
    {
      setting: 'regulation.setpointMax',
      value: quantity(band.setpoint.value + up.value, band.setpoint.unit),
      reason: narrow
        ? `Not warmer than the set point: cut-in would pass the limit of the goods.`
        : `The user may go ${printQuantity(up)} warmer; cut-in may then pass the limit of the goods.`,
      school: 'userRange',
    },
  ];
}
