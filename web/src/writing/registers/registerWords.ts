import type { Register, RegisterReading } from '@brine/core/controllers/definitions';
import { printNumber } from '@brine/core/foundation/quantities';

/** What a register may tell of the unit, in words. */
export const readingWords: Readonly<Record<RegisterReading, string>> = {
  air: 'Air temperature',
  coil: 'Coil temperature',
  secondCoil: 'Temperature of the second coil',
  product: 'Product temperature',
  phase: 'Phase of the control, a number',
  compressor: 'Compressor on',
  fan: 'Fan on',
  defrost: 'Defrost on',
  alarm: 'Alarm',
};

/** The tables of a device, by the function a register is written down under. */
export const tableWords: Readonly<Record<1 | 2 | 3 | 4 | 16, string>> = {
  3: 'Holding register',
  16: 'Holding register, written by function 16',
  4: 'Input register',
  2: 'Contact (discrete input)',
  1: 'Coil',
};

export const unitWords: readonly (readonly [string, string])[] = [
  ['', 'as the display shows it'],
  ['degC', '°C always'],
  ['degF', '°F always'],
  ['K', 'K (a difference in °C)'],
  ['deltaF', 'a difference in °F'],
  ['s', 'seconds'],
  ['min', 'minutes'],
  ['h', 'hours'],
  ['%', '%'],
  ['V', 'V'],
];

/** How a register stands in the definition, in one line. */
export function saidInShort({
  function: by,
  address,
  type,
  wordOrder,
  scale,
  unit,
  writable,
  order,
  unlock,
}: Register): string {
  return [
    `${tableWords[by as 1 | 2 | 3 | 4 | 16]} ${address}`,
    type === 'bit' ? '' : type + (wordOrder === 'lowFirst' ? ', low word first' : ''),
    scale === undefined || scale === 1 ? '' : `times ${printNumber(scale, 6)}`,
    unit === undefined ? '' : (unitWords.find(([id]) => id === unit)?.[1] ?? unit),
    writable ? 'may be written' : 'only read',
    order === undefined ? '' : `written at place ${order}`,
    unlock === undefined ? '' : `after ${unlock.value} to ${unlock.address}`,
  ]
    .filter(Boolean)
    .join(' · ');
}
