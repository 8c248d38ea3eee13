import { describe, expect, test } from '@jest/globals';
import { displayOf, fullMemory, type CodeValue } from '@brine/core/controllers/definitions';
import { writingOf } from '@brine/core/controllers/registers';
import { onLine, withRegisters, type Trial } from '../../testing/trial.ts';
import { readFound, readReadings, writeValues } from './index.ts';

const definition = withRegisters();
const codes = definition.registers!.flatMap(({ code }) => code ?? []);

/** Writes some values over what stands, as a job does. */
async function write({ line, device }: Trial, wanted: readonly (readonly [string, CodeValue])[]) {
  const before = await readFound(line, 1, definition);
  const all = new Map([...before.values, ...wanted]);
  const told = displayOf(definition, all);
  const { writes } = writingOf(definition, all, before.values, told);
  const written = await writeValues(line, 1, definition, writes, before.values, told);
  return { written, memory: device.memory };
}

describe('as found', () => {
  test('all values of a controller are read as its display shows them, in few requests', () =>
    onLine(async ({ line, device }) => {
      const found = await readFound(line, 1, definition);
      // The oracle is the memory of the stand-in's own machine.
      expect(found.values).toEqual(device.memory);
      expect(found.values.size).toBe(codes.length);
      expect(found.unread).toEqual([]);
      expect(found.requests).toBeLessThanOrEqual(4);
    }));

  test('a display that somebody put to °F is read in °F', () =>
    onLine(
      async ({ line, device }) => {
        const found = await readFound(line, 1, definition);
        expect(displayOf(definition, found.values).unit).toBe('degF');
        expect(found.values).toEqual(device.memory);
      },
      { given: [unitCode('fahrenheit')] },
    ));

  test('another device behind the address is told, and nothing is read', () =>
    onLine(
      async ({ line, serving }) => {
        await expect(readFound(line, 1, definition)).rejects.toThrow(
          /is no Skerry .*holds 99, expected 2117/,
        );
        expect(serving.requests()).toBe(1);
      },
      { definition: { ...definition, registerCheck: { function: 3, address: 0, equals: 99 } } },
    ));

  test('a device that has less than its booklet says: what is missing is told, the rest is read', () => {
    // The booklet has one register more than the device, at the far end.
    const more = { code: 't3', function: 3, address: 900, type: 'uint16', writable: true } as const;
    const booklet = { ...definition, registers: [...without('t3'), more] };
    return onLine(
      async ({ line }) => {
        const found = await readFound(line, 1, booklet);
        expect(found.unread).toEqual([{ code: 't3', why: 'Device 1 refuses: it has no such register.' }]);
        expect(found.values.size).toBe(codes.length - 1);
      },
      { definition: { ...definition, registers: without('t3') } },
    );
  });

  test('100 registers are read in under two seconds from a device that takes 20 ms to answer', () =>
    onLine(
      async ({ line }) => {
        await readFound(line, 1, definition);
        // Few requests are what makes it quick: timings are in the bench.
        expect(line.requests * 20).toBeLessThan(2000 / 4);
      },
      { faults: ['slow=20'] },
    ));

  test('readings are those of the machine', () =>
    onLine(async ({ line, device }) => {
      device.pass(7200);
      const readings = await readReadings(line, 1, definition);
      const own = device.readings!;
      expect(Math.abs((readings.air as number) - own.air)).toBeLessThanOrEqual(0.05 + 1e-9);
      expect(readings.compressor).toBe(own.compressor);
      expect(readings.phase).toBe(own.phase);
    }));
});

describe('written', () => {
  test('where the display goes to °F, it goes first, and every number is written as it stands there', () =>
    onLine(async (trial) => {
      const before = await readFound(trial.line, 1, definition);
      const [code, value] = unitCode('fahrenheit');
      const wanted = new Map<string, CodeValue>([...before.values, [code, value], ['t1', 36.5]]);
      const told = displayOf(definition, wanted);
      const { writes } = writingOf(definition, wanted, before.values, told);
      expect(writes[0]!.code).toBe(code);
      const written = await writeValues(trial.line, 1, definition, writes.slice(0, 2), before.values, told);
      expect(written.map(({ is }) => is)).toEqual(['written', 'written']);
      expect(trial.device.memory.get(code)).toBe(value);
      expect(trial.device.memory.get('t1')).toBe(36.5);
    }));

  test('values arrive in the machine, what is locked by a register is unlocked first, and each is read back', () =>
    onLine(async (trial) => {
      const wanted = [
        ['t1', 3.5],
        ['m3', 12],
        ['p4', otherOption('p4')],
      ] as const;
      const { written, memory } = await write(trial, wanted);
      expect(written.map(({ is }) => is)).toEqual(['written', 'written', 'written']);
      for (const [code, value] of wanted) expect(memory.get(code)).toBe(value);
    }));

  test('a value that the device clamps is told with what stands now', () =>
    onLine(
      async (trial) => {
        const { written } = await write(trial, [['t1', 9]]);
        expect(written).toEqual([{ code: 't1', is: 'otherwise', value: 9, found: 4 }]);
      },
      { faults: ['clamp=t1:-2:4'] },
    ));

  test('a code that a lock refuses is told with why, and the others go on', () =>
    onLine(
      async (trial) => {
        const { written, memory } = await write(trial, [
          ['t1', 3.5],
          ['t2', 3],
        ]);
        expect(written.map(({ is }) => is)).toEqual(['refused', 'written']);
        expect(memory.get('t1')).toBe(fullMemory(definition, new Map()).get('t1'));
      },
      { faults: ['lock=t1'] },
    ));

  test('a number that is refused is told as the display shows it by then, not as it stood before', () => {
    const [unit, fahrenheit] = unitCode('fahrenheit');
    return onLine(
      async (trial) => {
        const { written, memory } = await write(trial, [
          [unit, fahrenheit],
          ['t1', 30],
        ]);
        // 2 °C, which is what stood there, is 35.6 °F by then: by definition of the degree Fahrenheit.
        expect(memory.get('t1')).toBe(35.6);
        expect(written.find(({ code }) => code === 't1')).toMatchObject({ is: 'refused', found: 35.6 });
      },
      { faults: ['lock=t1'] },
    );
  });

  test('a display that keeps its °C is given no numbers of °F', () => {
    const [unit, fahrenheit] = unitCode('fahrenheit');
    return onLine(
      async (trial) => {
        const { written, memory } = await write(trial, [
          [unit, fahrenheit],
          ['t1', 36.5],
        ]);
        expect(written[0]).toMatchObject({ code: unit, is: 'refused' });
        const setpoint = written.find(({ code }) => code === 't1')!;
        expect(setpoint).toMatchObject({
          is: 'notWritten',
          why: expect.stringContaining('would stand for another temperature'),
        });
        // What the machine works with is what it was: 36.5 would have been a hot cupboard.
        expect(memory).toEqual(fullMemory(definition, new Map()));
      },
      { faults: [`lock=${unit}`] },
    );
  });

  test('a device that restarts in the middle: what stands is not guessed, the rest is not reached', () =>
    onLine(async (trial) => {
      const before = await readFound(trial.line, 1, definition);
      const wanted = new Map<string, CodeValue>([...before.values, ['t1', 3.5], ['t2', 3], ['m3', 12]]);
      const told = displayOf(definition, wanted);
      const { writes } = writingOf(definition, wanted, before.values, told);
      const written = await writeValues(trial.line, 1, definition, writes, before.values, told, (done) => {
        if (done === 1) trial.line.close();
      });
      expect(written.map(({ is }) => is)).toEqual(['written', 'notKnown', 'notWritten']);
      expect(trial.device.memory.get('t1')).toBe(3.5);
    }));

  test('a device that is busy now and then takes all of it', () =>
    onLine(
      async (trial) => {
        const { written } = await write(trial, [
          ['t1', 3.5],
          ['t2', 3],
        ]);
        expect(written.map(({ is }) => is)).toEqual(['written', 'written']);
      },
      { faults: ['busy=4'] },
    ));
});

const without = (code: string) => definition.registers!.filter((register) => register.code !== code);

function unitCode(means: string): readonly [string, CodeValue] {
  const parameter = definition.parameters.find(({ setting }) => setting === 'display.unit')!;
  if (parameter.encoding.type !== 'choice') throw new Error('expected options');
  return [parameter.code, parameter.encoding.options.find((option) => option.means === means)!.value];
}

function otherOption(code: string): CodeValue {
  const { encoding } = definition.parameters.find((one) => one.code === code)!;
  if (encoding.type !== 'choice') throw new Error('expected options');
  return encoding.options.find(({ value }) => value !== encoding.default)!.value;
}

test('the display of the memory at its defaults is what the definition says', () => {
  expect(displayOf(definition, fullMemory(definition, new Map())).unit).toBe('degC');
});
