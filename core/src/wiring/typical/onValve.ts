import type { Circuit, Part } from '../circuit/index.ts';

/** Watts of a solenoid valve's coil (common practice: 8 to 20). */
const COIL_WATTS = 12;

/**
 * A typical circuit of a unit whose cooling relay opens a valve on a rack or before a unit that pumps down: the valve stands in the compressor's place, and the motor's overload is a
 * splice. Names of parts and wires stay. Unchanged where it has no compressor.
 */
export function onValve(circuit: Circuit): Circuit {
  const motors = new Set(
    circuit.parts.flatMap((part) => (part.kind === 'load' && part.role === 'compressor' ? [part.id] : [])),
  );
  if (motors.size === 0) return circuit;
  const atMotor = (end: string) => motors.has(end.split('.')[0]!);
  const beside = new Set(
    circuit.wires
      .flatMap(({ from, to }) => (atMotor(to) ? [from] : atMotor(from) ? [to] : []))
      .map((end) => end.split('.')[0]!),
  );
  return {
    ...circuit,
    parts: circuit.parts.map((part): Part => {
      if (part.kind === 'load' && motors.has(part.id))
        return {
          id: part.id,
          kind: 'load',
          role: 'solenoid',
          name: 'Solenoid valve',
          terminals: part.terminals,
          watts: COIL_WATTS,
          ratedVolts: part.ratedVolts,
        };
      if (part.kind === 'switch' && part.safety === true && beside.has(part.id))
        return { id: part.id, kind: 'junction', name: 'Splice', terminals: part.terminals };
      return part;
    }),
  };
}
