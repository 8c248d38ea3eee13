import { sentence } from '../../foundation/sentences/index.ts';
import { baseValue, isQuantity, printNumber, quantity } from '../../foundation/quantities/index.ts';
import { settingOf, type SettingValues } from '../../foundation/settings/index.ts';
import type { Check, Finding } from './finding.ts';

/** A slope may stray so far from what is usual, as a share. */
const SLOPE_STRAYS = 0.15;

/** Around what a heat meter's slopes stand: 1, or 10 where both do, by the signal of the instrument (common practice). */
function usualSlope(values: SettingValues): 1 | 10 {
  const pair = (['meter.supplySlope', 'meter.returnSlope'] as const).map((id) => values[id]);
  return pair.every((slope) => typeof slope === 'number' && Math.abs(slope / 10 - 1) <= SLOPE_STRAYS)
    ? 10
    : 1;
}

/** A slope far from where its instrument has it or an offset of many kelvins is most often a decimal point in the wrong place. */
export const decimalSlip: Check = ({ values }) => {
  const slope = usualSlope(values);
  return (
    [
      ['probes.airSlope', 1, SLOPE_STRAYS, null],
      ['meter.supplySlope', slope, slope * SLOPE_STRAYS, null],
      ['meter.returnSlope', slope, slope * SLOPE_STRAYS, null],
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
};

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
