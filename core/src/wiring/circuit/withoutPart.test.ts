import { describe, expect, test } from '@jest/globals';
import { typical, typicalIds } from '../../../testing/circuits.ts';
import { isFileProblem } from '../../foundation/files/index.ts';
import { readCircuit, wireIds, type Circuit } from './index.ts';
import { wiresWithout } from './withoutPart.ts';

const without = (circuit: Circuit, id: string): Circuit => {
  const ids = wireIds(circuit.wires);
  const wires = circuit.wires.map((what, i) => ({ id: ids[i]!, what }));
  const { gone, joined } = wiresWithout(
    circuit.parts.find((part) => part.id === id)!,
    wires,
  );
  return {
    ...circuit,
    parts: circuit.parts.filter((part) => part.id !== id),
    wires: wires
      .filter((wire) => !gone.includes(wire.id))
      .map((wire) => (wire.id === joined?.id ? joined.wire : wire.what)),
  };
};

describe('a part that is taken off', () => {
  test('in series is led past: the overload between thermostat and motor', () => {
    const left = without(typical('two-wire-thermostat'), 'OL');
    expect(left.wires.find((wire) => wire.from === 'ST.no')).toMatchObject({ to: 'M1.1', label: '3' });
    expect(left.wires).toHaveLength(typical('two-wire-thermostat').wires.length - 1);
  });

  test('a load takes both its wires along', () => {
    const left = without(typical('two-wire-thermostat'), 'M2');
    expect(left.wires.some(({ from, to }) => /M2/.test(from + to))).toBe(false);
  });

  // Oracle: the reader of circuits, which refuses a wire that ends nowhere.
  test.each(typicalIds)('no wire of %s is left hanging, whatever is taken off', (id) => {
    const circuit = typical(id);
    for (const part of circuit.parts) {
      const left = readCircuit(without(circuit, part.id));
      expect([part.id, isFileProblem(left) ? `${left.field}: ${left.message}` : 'whole']).toEqual([
        part.id,
        'whole',
      ]);
    }
  });
});
