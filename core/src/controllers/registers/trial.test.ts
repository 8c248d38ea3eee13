import { describe, expect, test } from '@jest/globals';
import { displayOf, fullMemory, parameterOf, readFunctionOf, type Register } from '../definitions/index.ts';
import { family } from '../../../testing/families.ts';
import { Heard, judgeTrial, placesToTry, readingWords, wordsOf } from './index.ts';

const skerry = family('skerry-dx');
const registers = skerry.registers!;

/** What a device with the definition's own registers would answer, in a memory that somebody set up; written down wrongly, it answers the same. */
function answers(given: readonly (readonly [string, number | string])[] = []) {
  const memory = fullMemory(skerry, new Map(given));
  const display = displayOf(skerry, memory);
  return registers.flatMap((register) => {
    const { code, reading } = register;
    const words =
      code === undefined
        ? readingWords(
            register,
            reading === 'air' ? 3.4 : reading === 'coil' ? -6 : reading === 'phase' ? 2 : true,
          )!
        : wordsOf(register, parameterOf(skerry, code)!, memory.get(code)!, display)!;
    return words.map((is, i) => ({ table: readFunctionOf(register), address: register.address + i, is }));
  });
}
const as = (mend: (register: Register) => Register) => ({ ...skerry, registers: registers.map(mend) });

describe('registers that are tried', () => {
  test('all that was asked for is asked for once, with one word on either side', () => {
    const places = placesToTry(registers);
    const names = places.map(({ table, address }) => `${table} ${address}`);
    expect(new Set(names).size).toBe(names.length);
    for (const register of registers)
      for (const by of [-1, 0, 1])
        if (register.address + by >= 0)
          expect(names).toContain(`${readFunctionOf(register)} ${register.address + by}`);
  });

  test('written down right, every row can be, and addresses count as they do', () => {
    const { rows, shift } = judgeTrial(skerry, new Heard(answers()));
    expect([...rows.values()].filter(({ fits }) => !fits)).toEqual([]);
    expect(shift).toBe(0);
    const of = (code: string) => rows.get(registers.find((one) => one.code === code)!)!;
    expect(of('t1')).toMatchObject({ words: [20], shows: '2 °C' });
    const air = rows.get(registers.find(({ reading }) => reading === 'air')!)!;
    expect(air).toMatchObject({ words: [34], shows: '3.4 °C' });
  });

  test.each([1, -1] as const)('addresses that all stand %d off are found out', (by) => {
    const { shift } = judgeTrial(
      as((register) => ({ ...register, address: register.address + 1 - by })),
      new Heard(answers().map((one) => ({ ...one, address: one.address + 1 }))),
    );
    expect(shift).toBe(by);
  });

  test('a scale that was forgotten is said, where the number cannot be without it', () => {
    const wrong = as(({ scale: _, ...register }) => register);
    const { rows } = judgeTrial(wrong, new Heard(answers([['t1', 20]])));
    const t1 = rows.get(wrong.registers.find(({ code }) => code === 't1')!)!;
    expect(t1.fits).toBe(false);
    expect(t1.instead).toEqual({ scale: 10 });
  });

  test('the words of a float mean by which of them comes first: both can be, so nothing is proposed', () => {
    const [first] = registers;
    const float: Register = { ...first!, type: 'float32', wordOrder: 'lowFirst' };
    const { scale: _, ...unscaled } = float;
    // 2.5 as IEEE 754 single is 0x40200000.
    const heard = new Heard([
      { table: 3, address: float.address, is: 0x4020 },
      { table: 3, address: float.address + 1, is: 0 },
    ]);
    const { rows } = judgeTrial({ ...skerry, registers: [unscaled] }, heard);
    // With the words exchanged it is next to nothing, which can be as well.
    expect(rows.get(unscaled)!.words).toEqual([0x4020, 0]);
    expect(rows.get(unscaled)!.instead).toBeNull();
    const { rows: right } = judgeTrial(
      { ...skerry, registers: [{ ...unscaled, wordOrder: 'highFirst' }] },
      heard,
    );
    expect([...right.values()][0]).toMatchObject({ shows: '2.5 °C', fits: true });
  });

  test('what is refused, and what nobody asked for, is told as that', () => {
    const heard = new Heard([
      { table: 3, address: registers[0]!.address, is: 'Device 1 refuses: it has no such register.' },
    ]);
    const { rows, shift } = judgeTrial(skerry, heard);
    expect(rows.get(registers[0]!)).toEqual({
      words: null,
      shows: 'Device 1 refuses: it has no such register.',
      fits: false,
      instead: null,
    });
    expect(rows.get(registers[1]!)!.shows).toBe('not asked for');
    expect(shift).toBe(0);
  });
});
