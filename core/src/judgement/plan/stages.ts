import { sentence } from '../../foundation/sentences/index.ts';
import { baseValue, quantity } from '../../foundation/quantities/index.ts';
import { factsOfUnit } from '../../foundation/unit/index.ts';
import { bandFor } from './band.ts';
import { differenceOf, minutes, type Draft, type PlanBasis } from './planned.ts';

/** A second stage that heats where the first one cools: about one point, kept apart by a dead band. */
export function planStages(basis: PlanBasis): readonly Draft[] {
  if (basis.unit.heats !== true || basis.heated || basis.freezer) return [];
  if (basis.application === 'chilledWaterTank' && factsOfUnit(basis.unit).heaterWatts <= 0)
    return [{ setting: 'stage2.function', value: 'none', reason: 'The heater is stated with 0 W.' }];
  const band = bandFor(basis);
  const width = differenceOf(basis, 2, 1);
  const apart = deadBand(basis);
  return [
    {
      setting: 'stage2.function',
      value: 'thermostat',
      reason: 'The second relay heats where it gets too cold.',
    },
    { setting: 'stage2.action', value: 'heat', reason: 'The other way than the first stage.' },
    {
      setting: 'stage2.reference',
      value: 'relative',
      reason: 'It goes along when the first set point is moved: their distance stays.',
    },
    {
      setting: 'stage2.offset',
      value: quantity(-apart.value, apart.unit),
      reason: sentence`Heating ends ${apart} below where cooling ends, at ${quantity(band.setpoint.value - apart.value, band.setpoint.unit)}: what runs on after a stop does not call the other.`,
    },
    {
      setting: 'stage2.differential',
      value: width,
      reason: sentence`It begins ${width} lower.`,
    },
    {
      setting: 'stage2.differentialPlacement',
      value: 'setpointIsCutOut',
      reason: 'As in the first stage: the set point is where it stops.',
    },
    {
      setting: 'stage2.minOffTime',
      value: minutes(REST_MIN),
      reason: `Heat that was just stopped has ${REST_MIN} min to spread before it is called again.`,
    },
    {
      setting: 'stage2.onProbeFault',
      value: 'stop',
      reason: 'A heater that nothing measures must not run.',
    },
  ];
}

/** A heater's rest: what it gave off has spread (ours). */
const REST_MIN = 5;

/** Between where cooling and where heating ends: 2 K, half of it where the product leaves no more room. Common practice: 1 to 2 K and more. */
function deadBand(basis: PlanBasis) {
  const least = basis.goods.min ? baseValue(basis.goods.min.value) : null;
  const point = baseValue(bandFor(basis).setpoint);
  return least !== null && point - least < 3.5 ? differenceOf(basis, 2, 1) : differenceOf(basis, 4, 2);
}
