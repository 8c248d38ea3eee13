import { quantity } from '../../foundation/quantities/index.ts';
import { runModeFor } from './runMode.ts';
import { differenceOf, type Draft, type PlanBasis } from './planned.ts';

/** What only a transport unit has: how the engine runs, and how a change counts. */
export function planTransport(basis: PlanBasis): readonly Draft[] {
  if (basis.application !== 'transportUnit') return [];
  const { mode, why, other } = runModeFor(basis.unit);
  return [
    { setting: 'transport.runMode', value: mode, reason: `${why} ${other}` },
    {
      setting: 'transport.confirmTime',
      value: quantity(10, 's'),
      reason: 'A change not confirmed in it reverts: read the set point back.',
    },
    {
      setting: 'transport.inRangeBand',
      value: differenceOf(basis, 4, 2),
      reason: 'About the swing of the air on the road.',
    },
    {
      setting: 'transport.autoStart',
      value: true,
      reason:
        'The load is kept without anybody by. The unit then starts by itself: off before a guard is opened.',
    },
  ];
}
