import { nameOf, partOfEnd, type Circuit } from './circuit.ts';

/** A terminal in words: what the device's own print says, and whose it is: “Marl 4 cool com”, “Heater limit a”, “L1”. */
export function endWords(circuit: Circuit, end: string): string {
  const part = partOfEnd(circuit, end);
  if (!part) return end;
  const terminal = end.slice(part.id.length + 1);
  const label = part.labels?.[terminal];
  const owner = circuit.parts.find((p) => p.kind === 'control' && p.owns.includes(part.id));
  if (owner && label) return `${nameOf(owner)} ${label}`;
  return `${nameOf(part)} ${label ?? terminal}`;
}
