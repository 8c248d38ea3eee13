import { describe, expect, test } from '@jest/globals';
import {
  displayOf,
  readDefinition,
  readFunctionOf,
  wordsIn,
  type ControllerDefinition,
  type Register,
} from '../definitions/index.ts';
import { seeded } from '../../../testing/seeded.ts';
import {
  blocksOf,
  codeValueOf,
  cutOut,
  fitsType,
  foundOf,
  fromWords,
  MOST,
  readingOf,
  readingWords,
  toWords,
  wordsOf,
  writingOf,
} from './index.ts';

const celsius = { unit: 'degC', decimal: true } as const;
const fahrenheit = { unit: 'degF', decimal: true } as const;

const definition = (registers: readonly Register[]): ControllerDefinition => ({
  format: 'brine-dial/controller@1',
  id: 'trial',
  family: 'Trial',
  parameters: [
    {
      code: 'un',
      name: 'Unit',
      setting: 'display.unit',
      encoding: {
        type: 'choice',
        options: [
          { value: 0, means: 'celsius' },
          { value: 1, means: 'fahrenheit' },
        ],
        default: 0,
      },
    },
    {
      code: 'SP',
      name: 'Set point',
      setting: 'regulation.setpoint',
      encoding: {
        type: 'number',
        unit: 'displayTemperature',
        min: -40,
        max: 20,
        default: 2,
        resolution: 0.1,
        rangeUnit: 'degC',
      },
    },
    {
      code: 'dt',
      name: 'Defrost by',
      encoding: { type: 'choice', options: [{ value: 'tin' }, { value: 'run' }], default: 'tin' },
    },
    {
      code: 'dd',
      name: 'Defrost interval',
      encoding: { type: 'number', unit: 'h', min: 1, max: 24, default: 6 },
      visibleWhen: { code: 'dt', in: ['run'] },
    },
  ],
  registers,
});
const [UNIT, SETPOINT, BY, INTERVAL]: Register[] = [
  { code: 'un', function: 3, address: 20, type: 'uint16', writable: true, order: 1 },
  { code: 'SP', function: 6, address: 16, type: 'int16', scale: 10, writable: true },
  { code: 'dt', function: 3, address: 30, type: 'uint16', writable: true },
  { code: 'dd', function: 3, address: 21, type: 'uint16', writable: true },
];
const all = definition([INTERVAL!, SETPOINT!, BY!, UNIT!]);

describe('values on a bus', () => {
  test('numbers become words as the published frames have them', () => {
    // Frames of reference-values: −22.0 °C × 10 = 0xFF24; set point −18.5 °C × 10 = 0xFF47; −22.5 as float32 = C1B4 0000.
    expect(toWords(-220, { type: 'int16' })).toEqual([0xff24]);
    expect(toWords(-22.5, { type: 'float32' })).toEqual([0xc1b4, 0x0000]);
    expect(toWords(-22.5, { type: 'float32', wordOrder: 'lowFirst' })).toEqual([0x0000, 0xc1b4]);
    expect(wordsOf(SETPOINT!, all.parameters[1]!, -18.5, celsius)).toEqual([0xff47]);
    expect(codeValueOf(SETPOINT!, all.parameters[1]!, [0xff47], celsius)).toBe(-18.5);
  });

  test('whatever fits a type comes back as it was, whichever word is first', () => {
    const chance = seeded(1);
    const types = ['int16', 'uint16', 'int32', 'uint32', 'float32'] as const;
    for (let i = 0; i < 400; i += 1) {
      const type = types[i % types.length]!;
      const stored =
        type === 'float32'
          ? Math.fround((chance() - 0.5) * 1e4)
          : Math.floor(
              (chance() - (type.startsWith('u') ? 0 : 0.5)) * (type.endsWith('32') ? 2 ** 32 : 2 ** 16),
            );
      const wordOrder = chance() < 0.5 ? 'lowFirst' : 'highFirst';
      expect(fitsType(stored, type)).toBe(true);
      const words = toWords(stored, { type, wordOrder });
      expect(words).toHaveLength(wordsIn(type));
      expect(words.every((word) => Number.isInteger(word) && word >= 0 && word <= 0xffff)).toBe(true);
      expect(fromWords(words, { type, wordOrder })).toBe(stored);
    }
  });

  test('what a type cannot hold is no value: nothing wraps round', () => {
    for (const [stored, type] of [
      [32768, 'int16'],
      [-32769, 'int16'],
      [-1, 'uint16'],
      [65536, 'uint16'],
      [2 ** 32, 'uint32'],
      [1.5, 'int16'],
      [2, 'bit'],
      [Number.NaN, 'float32'],
    ] as const)
      expect(fitsType(stored, type)).toBe(false);
    expect(wordsOf({ ...SETPOINT!, scale: 10_000 }, all.parameters[1]!, 20, celsius)).toBeNull();
  });

  test('a register that stays in °C under a display in °F is converted both ways, once', () => {
    const register: Register = { ...SETPOINT!, unit: 'degC' };
    // 35.6 °F = 2 °C, by definition of the degree Fahrenheit.
    expect(wordsOf(register, all.parameters[1]!, 35.6, fahrenheit)).toEqual([20]);
    expect(codeValueOf(register, all.parameters[1]!, [20], fahrenheit)).toBe(35.6);
  });

  test('an option goes by its number, or by its place where it is a word; what is none of them is no value', () => {
    expect(wordsOf(UNIT!, all.parameters[0]!, 1, celsius)).toEqual([1]);
    expect(wordsOf(BY!, all.parameters[2]!, 'run', celsius)).toEqual([1]);
    expect(codeValueOf(BY!, all.parameters[2]!, [0], celsius)).toBe('tin');
    expect(codeValueOf(BY!, all.parameters[2]!, [7], celsius)).toBeNull();
  });

  test('readings are °C whatever the device speaks, and one that is not there is none', () => {
    const air: Register = {
      reading: 'air',
      function: 4,
      address: 0,
      type: 'int16',
      scale: 10,
      unit: 'degF',
      absent: -32768,
    };
    expect(readingOf(air, toWords(356, air))).toBe(2);
    expect(readingOf(air, toWords(-32768, air))).toBeNull();
    expect(readingOf({ ...air, reading: 'compressor' }, [1])).toBe(true);
    expect(readingOf(air, readingWords(air, -20.5)!)).toBeCloseTo(-20.5, 1);
    expect(readingWords({ ...air, absent: undefined }, Number.NaN)).toBeNull();
  });
});

describe('what was found over the bus', () => {
  test('numbers are told in the degrees that the display stands in, which is read along', () => {
    const words = new Map<Register, readonly number[]>([
      [INTERVAL!, [8]],
      [SETPOINT!, toWords(356, SETPOINT!)],
      [BY!, [9]],
      [UNIT!, [1]],
    ]);
    const found = foundOf(all, words);
    expect([...found.values]).toEqual([
      ['un', 1],
      ['SP', 35.6],
      ['dd', 8],
    ]);
    expect(found.unread).toEqual([{ code: 'dt', why: 'What its register holds (9) is no value of it.' }]);
  });
});

describe('a display whose unit nobody read', () => {
  const noUnit = definition([SETPOINT!, INTERVAL!]);
  test('tells no temperature: 356 of tenths is 35.6 °F or 35.6 °C; what does not hang on it is told', () => {
    const words = new Map<Register, readonly number[]>([
      [SETPOINT!, [356]],
      [INTERVAL!, [8]],
    ]);
    const found = foundOf(noUnit, words);
    expect([...found.values]).toEqual([['dd', 8]]);
    expect(found.unread).toEqual([{ code: 'SP', why: expect.stringContaining('°C or °F was not read') }]);
  });

  test('is told where the bus keeps a unit of its own', () => {
    const own: Register = { ...SETPOINT!, unit: 'degC' };
    expect([...foundOf(definition([own]), new Map([[own, [20]]])).values]).toEqual([['SP', 2]]);
  });

  test('is given no temperature, and neither is one that will stand in another unit', () => {
    const wanted = new Map<string, number | string>([
      ['SP', 35.6],
      ['dt', 'run'],
    ]);
    const why = 'it is told in °F, and the display will not stand in that, or nobody knows';
    const writable = definition([UNIT!, SETPOINT!, BY!]);
    for (const standing of [new Map<string, number>(), new Map([['un', 0]])]) {
      const { writes, notOverTheBus } = writingOf(writable, wanted, standing, fahrenheit);
      expect(writes.map(({ code }) => code)).toEqual(['dt']);
      expect(notOverTheBus).toEqual([{ code: 'SP', why }]);
    }
    // The unit is wanted too, but its register is only read: the display stays in °C.
    const readOnly = definition([{ ...UNIT!, writable: false }, SETPOINT!, BY!]);
    const both = new Map([...wanted, ['un', 1] as const]);
    expect(
      writingOf(readOnly, both, new Map([['un', 0]]), fahrenheit).writes.map(({ code }) => code),
    ).toEqual(['dt']);
    // Where the bus keeps °C whatever the display stands in, the same is written, converted.
    const own = definition([
      { ...UNIT!, writable: false },
      { ...SETPOINT!, unit: 'degC' },
    ]);
    expect(writingOf(own, new Map([['SP', 35.6]]), new Map([['un', 0]]), fahrenheit).writes).toMatchObject([
      { code: 'SP', words: [20] },
    ]);
  });
});

describe('requests', () => {
  test('are few: what lies near together is read at once, and never more than the standard allows', () => {
    const chance = seeded(2);
    for (let round = 0; round < 60; round += 1) {
      const taken = new Set<string>();
      const registers: Register[] = [];
      for (let i = 0; i < 80; i += 1) {
        const by = ([1, 2, 3, 4] as const)[Math.floor(chance() * 4)]!;
        const type = by <= 2 ? 'bit' : chance() < 0.3 ? 'int32' : 'int16';
        const address = Math.floor(chance() * 600);
        const spans = Array.from({ length: wordsIn(type) }, (_, k) => `${by}:${address + k}`);
        if (spans.some((span) => taken.has(span))) continue;
        spans.forEach((span) => taken.add(span));
        registers.push({ reading: 'air', function: by, address, type });
      }
      const gap = Math.floor(chance() * 20);
      const blocks = blocksOf(registers, gap);
      // Every register once, all of it inside of its block.
      expect(blocks.flatMap((block) => block.registers).length).toBe(registers.length);
      const memory = (by: number, at: number) => (by * 1000 + at) & 0xffff;
      for (const block of blocks) {
        expect(block.count).toBeLessThanOrEqual(block.function <= 2 ? MOST.bits : MOST.registers);
        const words = Array.from({ length: block.count }, (_, i) =>
          memory(block.function, block.address + i),
        );
        for (const register of block.registers) {
          expect(readFunctionOf(register)).toBe(block.function);
          expect(cutOut(block, words, register)).toEqual(
            Array.from({ length: wordsIn(register.type) }, (_, i) =>
              memory(block.function, register.address + i),
            ),
          );
        }
      }
      // A second way to count: one request for each stretch without a gap that is too wide, cut where it is too long.
      const least = ([1, 2, 3, 4] as const).reduce((sum, by) => {
        const used = [...taken]
          .filter((span) => span.startsWith(`${by}:`))
          .map((span) => Number(span.split(':')[1]))
          .sort((a, b) => a - b);
        return sum + used.filter((at, i) => i === 0 || at - used[i - 1]! - 1 > gap).length;
      }, 0);
      expect(blocks.length).toBeGreaterThanOrEqual(least);
      expect(blocks.length).toBeLessThanOrEqual(least + 12);
    }
  });

  test('a device that refuses what it does not have is asked for what it has alone', () => {
    const at = (address: number): Register => ({ reading: 'air', function: 3, address, type: 'int16' });
    expect(blocksOf([at(3), at(1), at(2), at(6)], 0).map(({ address, count }) => [address, count])).toEqual([
      [1, 3],
      [6, 1],
    ]);
  });
});

describe('writing', () => {
  test('only what differs, in the controller’s order: what is told first, then what hides others, then the rest', () => {
    const wanted = new Map<string, number | string>([
      ['SP', 3],
      ['dd', 8],
      ['dt', 'run'],
      ['un', 1],
    ]);
    const standing = new Map<string, number | string>([
      ['SP', 2],
      ['dd', 6],
      ['dt', 'tin'],
      ['un', 0],
    ]);
    expect(writingOf(all, wanted, standing, fahrenheit).writes.map(({ code }) => code)).toEqual([
      'un',
      'dt',
      'dd',
      'SP',
    ]);
    const same = writingOf(all, new Map(standing), standing, displayOf(all, standing));
    expect(same).toEqual({ writes: [], notOverTheBus: [], stood: [...standing.keys()] });
  });

  test('what cannot go over the bus is said, with why', () => {
    const part = definition([{ ...SETPOINT!, function: 4, writable: false }, INTERVAL!]);
    const wanted = new Map<string, number | string>([
      ['SP', 3],
      ['dd', 8],
      ['un', 1],
    ]);
    expect(writingOf(part, wanted, new Map([['un', 0]]), celsius).notOverTheBus).toEqual([
      { code: 'SP', why: 'its register is only read' },
      { code: 'dd', why: 'the other values hide it' },
      { code: 'un', why: 'it has no register' },
    ]);
  });
});

describe('a register table that is wrong', () => {
  const faultsOf = (registers: unknown, more: object = {}) => {
    const read = readDefinition({ ...definition([]), registers, ...more });
    return 'faults' in read ? read.faults.map(({ path, message }) => `${path}: ${message}`) : [];
  };
  test('each mistake has its place and its sentence', () => {
    expect(faultsOf([UNIT, SETPOINT])).toEqual([]);
    expect(
      faultsOf([
        { code: 'un', function: 3, address: 16, type: 'int32' },
        { code: 'SP', function: 6, address: 17, type: 'int16' },
      ]),
    ).toEqual([
      '$.registers[1].address: address 17 of the holding registers belongs to un already, at $.registers[0]',
    ]);
    expect(faultsOf([{ code: 'xx', function: 3, address: 1, type: 'int16' }])[0]).toContain(
      'is no code of this definition',
    );
    expect(faultsOf([{ code: 'SP', function: 7, address: 1, type: 'int16' }])[0]).toContain(
      '$.registers[0].function',
    );
    expect(faultsOf([{ code: 'SP', function: 3, address: 65535, type: 'int32' }])[0]).toContain(
      'from 0 to 65535',
    );
    expect(faultsOf([{ code: 'SP', function: 3, address: 1, type: 'bit' }])[0]).toContain(
      'a bit is read by 1 or 2',
    );
    expect(faultsOf([{ code: 'SP', reading: 'air', function: 3, address: 1, type: 'int16' }])[0]).toContain(
      'either a code',
    );
    expect(faultsOf([UNIT, UNIT])[0]).toContain('already stands at');
    expect(faultsOf([{ ...UNIT, function: 4, order: undefined }])[0]).toContain('cannot be written');
    expect(faultsOf([{ ...UNIT, scale: 0 }])[0]).toContain('other than 0');
    expect(faultsOf([UNIT], { registerCheck: { function: 3, address: 70000, equals: 1 } })[0]).toContain(
      '$.registerCheck.address',
    );
  });
});
