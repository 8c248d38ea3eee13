import type { Register, RegisterFunction, RegisterType } from '../definitions/index.ts';

/** How each function is read, and how what stands under it is written: one by one, and several together. Source: Modbus Application Protocol V1.1b3, 6.1 to 6.12. */
const BY: Readonly<Record<RegisterFunction, { readonly read: 1 | 2 | 3 | 4; readonly write: 5 | 6 | null }>> =
  {
    1: { read: 1, write: 5 },
    2: { read: 2, write: null },
    3: { read: 3, write: 6 },
    4: { read: 4, write: null },
    5: { read: 1, write: 5 },
    6: { read: 3, write: 6 },
    16: { read: 3, write: 6 },
  };

/** The function by which a register is read. */
export const readFunctionOf = ({ function: by }: Pick<Register, 'function'>): 1 | 2 | 3 | 4 => BY[by].read;

/** The function by which it is written, or null where it cannot be: 5 a bit, 6 one register, 16 two, or one where the booklet says so. */
export function writeFunctionOf(register: Register): 5 | 6 | 16 | null {
  const { write } = BY[register.function];
  if (write !== 6) return write;
  return register.function === 16 || wordsIn(register.type) === 2 ? 16 : 6;
}

/** How many registers, or bits, a value takes. */
export const wordsIn = (type: RegisterType): 1 | 2 => (type.endsWith('32') ? 2 : 1);

/** What a device answers where it does not do as asked, in words. Source: Modbus Application Protocol V1.1b3, 7. */
export const exceptionWords: Readonly<Record<number, string>> = {
  1: 'it does not know this function',
  2: 'it has no such register',
  3: 'it does not take this value or this count',
  4: 'it could not do it',
  6: 'it is busy',
};
