import { describeSide } from '../../foundation/unit/index.ts';
import { minutes, type Draft, type PlanBasis } from './planned.ts';

/** Rest, power-up delay and what happens when the air probe fails. */
export function planCompressor(basis: PlanBasis): readonly Draft[] {
  return [...rests(basis), ...probeFailure(basis)];
}

function rests(basis: PlanBasis): readonly Draft[] {
  if (basis.heated)
    return [
      { setting: 'compressor.minOffTime', value: minutes(0), reason: 'A heater needs no minimum off time.' },
    ];
  if (basis.unit.compressor === 'rackSolenoid')
    return [
      {
        setting: 'compressor.minOffTime',
        value: minutes(0),
        reason:
          'The relay opens a solenoid valve on a rack; the rack keeps the off time of its own compressors.',
        school: 'restartProtection',
      },
      {
        setting: 'compressor.powerOnDelay',
        value: minutes(0),
        reason: 'The rack staggers its own starts.',
        school: 'restartProtection',
      },
    ];
  const pumpsDown = basis.unit.compressor === 'pumpDown';
  const side = basis.side('restartProtection');
  const plate = basis.application === 'vehicleFridge' && !basis.goods.frozen;
  const rest = side === 'long' || plate ? 5 : 3;
  const kept =
    side === 'none'
      ? ` No minimum off time was requested, but ${pumpsDown ? 'each opening of the valve starts a compressor' : 'this relay switches a compressor'}: 3 min stays.`
      : '';
  return [
    {
      setting: 'compressor.minOffTime',
      value: minutes(rest),
      reason: plate
        ? 'A plate ices where the off-cycle is short: five minutes let its ice melt off, and pressures equalise.'
        : pumpsDown
          ? `The relay opens a solenoid valve; the unit starts when suction pressure rises and pumps down when it shuts. Each call is a start all the same; ${describeSide('restartProtection', side === 'none' ? 'short' : side)}.${kept}`
          : `Pressures equalise in 2 to 3 min (small capillary units 5); ${describeSide('restartProtection', side === 'none' ? 'short' : side)}.${kept}`,
      school: 'restartProtection',
    },
    {
      setting: 'compressor.powerOnDelay',
      value: minutes(basis.freezer ? 3 : 2),
      reason:
        'After a power cut not everything on the site starts in the same second, and the compressor has rested.',
      school: 'restartProtection',
    },
  ];
}

function probeFailure(basis: PlanBasis): readonly Draft[] {
  if (basis.heated)
    return [
      {
        setting: 'compressor.onProbeFault',
        value: 'stop',
        reason: 'A heater that nothing measures must not run, whatever the product costs.',
      },
    ];
  const side = basis.side('probeFailure');
  const drafts: Draft[] = [
    {
      setting: 'compressor.onProbeFault',
      value: side,
      reason: `The answer depends on which is dearer, the product or the compressor: ${describeSide('probeFailure', side)}.`,
      school: 'probeFailure',
    },
  ];
  if (side !== 'dutyCycle') return drafts;
  const [on, off] = basis.freezer ? [15, 10] : [10, 15];
  return [
    ...drafts,
    {
      setting: 'compressor.faultOnTime',
      value: minutes(on),
      reason: `${on} min of each ${on + off}: about the duty of a ${basis.freezer ? 'freezer' : 'refrigerator'} at design ambient.`,
      school: 'probeFailure',
    },
    {
      setting: 'compressor.faultOffTime',
      value: minutes(off),
      reason: 'Longer than the off time the compressor needs.',
      school: 'probeFailure',
    },
  ];
}
