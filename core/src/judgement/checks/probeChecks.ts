import { sentence } from '../../foundation/sentences/index.ts';
import { baseValue, isQuantity, printNumber, quantity } from '../../foundation/quantities/index.ts';
import { settingOf } from '../../foundation/settings/index.ts';
import type { Check, Finding } from './finding.ts';

/** A slope far from 1 or an offset of many kelvins is most often a decimal point in the wrong place. */
export const decimalSlip: Check = ({ values }) =>
  (
    [
      ['probes.airSlope', 1, 0.15, null],
      ['meter.supplySlope', 1, 0.15, null],
      ['meter.returnSlope', 1, 0.15, null],
      ['probes.airOffset', 0, 6, 'K'],
      ['probes.coilOffset', 0, 6, 'K'],
      ['meter.supplyOffset', 0, 6, 'K'],
      ['meter.returnOffset', 0, 6, 'K'],
    ] as const
  ).flatMap(([id, usual, most, unit]): readonly Finding[] => {
    const raw = values[id];
    const value = isQuantity(raw) ? baseValue(raw) : typeof raw === 'number' ? raw : usual;
    if (Math.abs(value - usual) <= most + 1e-9) return [];
    return [
      {
        code: 'decimalSlip',
        severity: 'warning',
        settings: [id],
        message: sentence`${settingOf(id).label} ${unit ? quantity(value, unit) : printNumber(value, 4)} is far from ${usual}: read the tag again, digit by digit; a point may have slipped.`,
        numbers: { value },
      },
    ];
  });

/** An offset that stood in the old control and is gone in the new one. */
export const offsetForgotten: Check = ({ values, found }) => {
  const before = found?.['probes.airOffset'];
  const now = values['probes.airOffset'];
  if (!isQuantity(before) || Math.abs(baseValue(before)) < 0.05) return [];
  if (isQuantity(now) && Math.abs(baseValue(now)) > 1e-9) return [];
  return [
    {
      code: 'offsetForgotten',
      severity: 'note',
      settings: ['probes.airOffset'],
      message: sentence`The old control corrected its air probe by ${before}; the new one begins at 0. Compare its display with a thermometer before you leave: another probe needs another offset.`,
      numbers: { before: baseValue(before) },
    },
  ];
};
