import { isMachine } from '../../foundation/settings/index.ts';
import type { Draft, PlanBasis } from './planned.ts';
import { describeSide } from '../../foundation/unit/index.ts';

/** Probes, display and access. */
export function planPanelAndProbes(basis: PlanBasis): readonly Draft[] {
  const box = !isMachine(basis.application);
  return [
    ...(box ? coilProbes(basis) : []),
    {
      setting: 'display.unit',
      value: basis.fahrenheit ? 'fahrenheit' : 'celsius',
      reason: 'The unit the people on site read.',
    },
    {
      setting: 'access.keypadLock',
      value: basis.side('userRange') === 'narrow',
      reason: `Users tamper with what they distrust; ${describeSide('userRange', basis.side('userRange'))}.`,
      school: 'userRange',
    },
  ];
}

function coilProbes(basis: PlanBasis): readonly Draft[] {
  return [
    {
      setting: 'probes.coilPresent',
      value: basis.coilProbe,
      reason: basis.coilProbe
        ? 'A coil probe was found or will be fitted.'
        : 'No coil probe: defrost ends by time and coil rules are skipped.',
    },
    ...(basis.unit.probes.includes('secondCoil')
      ? [
          {
            setting: 'probes.secondCoilPresent' as const,
            value: true,
            reason: 'The colder of two coil probes ends the defrost.',
          },
        ]
      : []),
  ];
}
