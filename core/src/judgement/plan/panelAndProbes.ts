import { isMachine } from '../../foundation/settings/index.ts';
import type { Draft, PlanBasis } from './planned.ts';
import { describeSide } from '../../foundation/unit/index.ts';

/** Probes, display and access. */
export function planPanelAndProbes(basis: PlanBasis): readonly Draft[] {
  const box = !isMachine(basis.application);
  return [
    ...(box ? coilProbes(basis) : []),
    ...sensorType(basis),
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

/** The curve of the probes that are in the unit, where one type was found. */
function sensorType({ unit }: PlanBasis): readonly Draft[] {
  const type = unit.probeTypes?.length === 1 ? unit.probeTypes[0]! : null;
  return type === null
    ? []
    : [
        {
          setting: 'probes.sensorType',
          value: type,
          reason: 'The type that was found in the unit: another curve reads tens of degrees off.',
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
