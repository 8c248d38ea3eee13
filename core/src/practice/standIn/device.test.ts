import { describe, expect, test } from '@jest/globals';
import type { ControllerDefinition, Register } from '../../controllers/definitions/index.ts';
import { toWords } from '../../controllers/registers/index.ts';
import { families, family } from '../../../testing/families.ts';
import { seeded } from '../../../testing/seeded.ts';
import { EXCEPTION, noTroubles, readTroubles, StandInDevice } from './index.ts';

/** A family with a register for every code, made up: addresses one after the other, tenths where its numbers have them. */
function withRegisters(definition: ControllerDefinition): ControllerDefinition {
  let address = 100;
  const registers = definition.parameters.flatMap(({ code, encoding }): Register[] => {
    if (encoding.type === 'reading' || encoding.type === 'preset') return [];
    const isWide = encoding.type === 'number' && (address % 3 === 0 || encoding.max > 3000);
    const type = isWide ? 'int32' : 'int16';
    const register: Register = {
      code,
      function: 3,
      address,
      type,
      scale: encoding.type === 'number' ? 10 : 1,
      writable: true,
    };
    address += type === 'int32' ? 2 : 1;
    return [register];
  });
  return { ...definition, registers };
}

describe('a controller that stands in', () => {
  test('of every family: what is read over its bus and written back leaves it as it was', () => {
    for (const id of families.keys()) {
      const definition = withRegisters(family(id));
      const device = new StandInDevice(definition);
      const before = device.memory;
      for (const register of definition.registers!) {
        const words = device.read(3, register.address, register.type === 'int32' ? 2 : 1);
        expect(Array.isArray(words)).toBe(true);
        expect(device.write(16, register.address, words as readonly number[])).toBeNull();
      }
      expect(device.memory).toEqual(before);
    }
  });

  test('several values in one request are taken all or none', () => {
    const device = new StandInDevice({
      ...family('skerry-dx'),
      registers: [
        { code: 't1', function: 3, address: 1, type: 'int16', scale: 10, writable: true },
        { code: 't2', function: 3, address: 2, type: 'int16', scale: 10, writable: true },
      ],
    });
    const before = device.memory;
    expect(device.write(16, 1, [35, 9999])).toBe(EXCEPTION.value);
    expect(device.memory).toBe(before);
    expect(device.write(16, 1, [35, 30])).toBeNull();
    expect([device.memory.get('t1'), device.memory.get('t2')]).toEqual([3.5, 3]);
  });

  test('half of a value of two registers is refused', () => {
    const register: Register = {
      code: 't1',
      function: 16,
      address: 4,
      type: 'int32',
      scale: 10,
      writable: true,
    };
    const device = new StandInDevice({ ...family('skerry-dx'), registers: [register] });
    expect(device.write(16, 4, [0])).toBe(EXCEPTION.value);
    expect(device.write(6, 4, [0])).toBe(EXCEPTION.value);
    expect(device.write(16, 5, [0])).toBe(EXCEPTION.address);
    expect(device.write(16, 4, toWords(-35, register))).toBeNull();
    expect(device.memory.get('t1')).toBe(-3.5);
  });

  test('what is locked by a register opens for a minute', () => {
    const definition = family('skerry-dx');
    const { code, unlock, address } = definition.registers!.find((one) => one.unlock)!;
    const device = new StandInDevice(definition);
    const [held] = device.read(3, address, 1) as readonly number[];
    expect(device.write(6, address, [held!])).toBe(EXCEPTION.failure);
    expect(device.write(6, unlock!.address, [unlock!.value + 1])).toBeNull();
    expect(device.write(6, address, [held!])).toBe(EXCEPTION.failure);
    expect(device.write(6, unlock!.address, [unlock!.value])).toBeNull();
    expect(device.write(6, address, [held!])).toBeNull();
    device.pass(61);
    expect(device.write(6, address, [held!])).toBe(EXCEPTION.failure);
    expect(device.memory.get(code!)).toBeDefined();
  });

  test('whatever is written, no value leaves the range of its booklet', () => {
    const definition = withRegisters(family('skerry-dx'));
    const device = new StandInDevice(definition);
    const chance = seeded(4);
    for (let i = 0; i < 2000; i += 1) {
      const register = definition.registers![Math.floor(chance() * definition.registers!.length)]!;
      const words = Array.from({ length: register.type === 'int32' ? 2 : 1 }, () =>
        Math.floor(chance() * 0x10000),
      );
      device.write(16, register.address, chance() < 0.5 ? words : words.map(() => Math.floor(chance() * 60)));
    }
    // Oracle: the definition's own check of a value, which the bus does not use.
    const again = new StandInDevice(definition, device.memory);
    for (const register of definition.registers!) {
      const held = again.read(3, register.address, register.type === 'int32' ? 2 : 1);
      expect(again.write(16, register.address, held as readonly number[])).toBeNull();
    }
  });

  test('what shall go wrong is read, and what is none of it is refused with what was expected', () => {
    const definition = family('skerry-dx');
    expect(
      readTroubles(definition, ['slow=20', 'dead=3-9', 'locked', 'clamp=t1:0:4', 'deadHeater=60-120']),
    ).toMatchObject({
      device: { locked: true, box: [{ kind: 'deadHeater', from: 60, to: 120 }] },
      line: { slow: 20, dead: [[3, 9]] },
    });
    expect(readTroubles(definition, [])).toMatchObject({ device: noTroubles });
    for (const text of [
      'slow=x',
      'dead=9-3',
      'clamp=t1:4:0',
      'clamp=zz:0:1',
      'lock=zz',
      'melted',
      'deadHeater=x',
    ])
      expect(readTroubles(definition, [text])).toHaveProperty('problem');
  });
});
