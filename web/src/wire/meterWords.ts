import { parseNumber } from '@brine/core/foundation/quantities';
import { endWords, type Circuit } from '@brine/core/wiring/circuit';
import { OPEN_LINE, type MeterUnit, type Place } from '@brine/core/wiring/readings';

/** Where the leads go, in words: “Marl 4 cool com – L2”, “clamp on the heater”. */
export function placeWords(circuit: Circuit, place: Place): string {
  if ('through' in place) {
    const part = circuit.parts.find((p) => p.id === place.through);
    return `Clamp: ${part?.name ?? place.through}`;
  }
  const [from, to] = [endWords(circuit, place.from), endWords(circuit, place.to)];
  const name = from.slice(0, from.lastIndexOf(' ') + 1);
  // Two terminals of one device name it once.
  return `${from} – ${name !== '' && to.startsWith(name) ? to.slice(name.length) : to}`;
}

/** A figure as a meter shows it: no more digits than it has, “open” beyond its range. */
export function shownReading(unit: MeterUnit, value: number): string {
  if (unit === 'ohm') {
    if (value >= OPEN_LINE) return 'open';
    if (value >= 1000) return `${(value / 1000).toFixed(value >= 10000 ? 1 : 2)} kΩ`;
    return `${value.toFixed(value < 100 ? 1 : 0)} Ω`;
  }
  if (unit === 'A') return `${value.toFixed(value < 10 ? 2 : 1)} A`;
  return `${value.toFixed(value < 10 ? 1 : 0)} V`;
}

const unitTail: Readonly<Record<MeterUnit, RegExp>> = {
  V: /\s*v$/,
  A: /\s*a$/,
  ohm: /\s*(kohm|kω|k|ohm|ω)$/,
};

/** What was typed: a number, decimal comma or point, `k` for thousands, and OL or open for an open line. */
export function readTyped(text: string, unit: MeterUnit): number | null {
  const plain = text.trim().toLowerCase();
  if (unit === 'ohm' && /^(ol|o\.l|open|∞)$/.test(plain)) return 1e7;
  const thousand = unit === 'ohm' && /k(ohm|ω)?$/.test(plain);
  const number = parseNumber(plain.replace(unitTail[unit], ''));
  return number === null || number < 0 ? null : number * (thousand ? 1000 : 1);
}

/** What should have been typed. */
export const typedForm: Readonly<Record<MeterUnit, string>> = {
  V: 'volts from 0 up, such as 118.6',
  A: 'amps from 0 up, such as 7.4',
  ohm: 'ohms from 0 up, such as 14.2 or 3k, or OL for open',
};
