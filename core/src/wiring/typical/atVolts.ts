import type { Circuit } from '../circuit/index.ts';

/** A typical circuit is drawn for one of these; others are another kind of supply. */
const MAINS = [100, 260] as const;
/** Volts that differ by less are the same supply, as a share. */
const SAME = 0.1;

const isMains = (volts: number) => volts >= MAINS[0] && volts <= MAINS[1];

/**
 * A typical circuit of one hot and a neutral, drawn at the volts that were found: its loads, coils and controls with it, their watts as they are. Unchanged where it has several legs,
 * runs from a battery, or stands at those volts already.
 */
export function atVolts(circuit: Circuit, volts: number): Circuit {
  const hot = circuit.supplies.filter((s) => s.volts > 0);
  const drawn = hot[0]?.volts;
  if (hot.length !== 1 || drawn === undefined || hot[0]!.kind === 'dc') return circuit;
  if (!isMains(drawn) || !isMains(volts) || Math.abs(volts / drawn - 1) < SAME) return circuit;
  const moved = (value: number) => (Math.abs(value / drawn - 1) < SAME ? volts : value);
  return {
    ...circuit,
    supplies: circuit.supplies.map((s) => (s.volts > 0 ? { ...s, volts: moved(s.volts) } : s)),
    parts: circuit.parts.map((part) => {
      if (part.kind === 'load' || part.kind === 'control')
        return { ...part, ratedVolts: moved(part.ratedVolts) };
      return part.kind === 'contactor' ? { ...part, coilVolts: moved(part.coilVolts) } : part;
    }),
  };
}
