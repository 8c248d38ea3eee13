/** Modbus functions a register may stand under (Modbus Application Protocol V1.1b3, 6): coils, contacts, holding and input registers, and their single and multiple writing. */
export const registerFunctions = [1, 2, 3, 4, 5, 6, 16] as const;
export type RegisterFunction = (typeof registerFunctions)[number];

export const registerTypes = ['int16', 'uint16', 'int32', 'uint32', 'float32', 'bit'] as const;
export type RegisterType = (typeof registerTypes)[number];

/** What a register may tell of the unit. */
export const registerReadings = [
  'air',
  'coil',
  'secondCoil',
  'product',
  'phase',
  'compressor',
  'fan',
  'defrost',
  'alarm',
] as const;
export type RegisterReading = (typeof registerReadings)[number];

/** One register, or two that hold one value, of a controller with a bus: a code's value, or a reading. */
export interface Register {
  readonly code?: string;
  readonly reading?: RegisterReading;
  readonly function: RegisterFunction;
  /** As it goes over the wire, from 0. */
  readonly address: number;
  readonly type: RegisterType;
  /** Of 32 bits: which word comes first. */
  readonly wordOrder?: 'highFirst' | 'lowFirst';
  /** What is stored is what is shown times this; 1 where absent. */
  readonly scale?: number;
  /** The unit that what is shown stands in; as the display shows the code where absent, °C for a reading. */
  readonly unit?: string;
  readonly writable?: boolean;
  /** Writing begins with the smallest; those without come after, as they stand. */
  readonly order?: number;
  /** What must be written first. */
  readonly unlock?: { readonly address: number; readonly value: number };
  /** What is stored where a reading is not there: an open probe. */
  readonly absent?: number;
}

/** A register by which a controller is told from others on the same line. */
export interface RegisterCheck {
  readonly function: 3 | 4;
  readonly address: number;
  readonly equals: number;
}

/** How each function is read, and how what stands under it is written one by one. Source: Modbus Application Protocol V1.1b3, 6.1 to 6.12. */
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

/** The function by which a register is read: also which of a device's four tables it stands in. */
export const readFunctionOf = ({ function: by }: Pick<Register, 'function'>): 1 | 2 | 3 | 4 => BY[by].read;

/** The function by which it is written, or null where it cannot be: 5 a bit, 6 one register, 16 two, or one where the booklet says so. */
export function writeFunctionOf(register: Pick<Register, 'function' | 'type'>): 5 | 6 | 16 | null {
  const { write } = BY[register.function];
  if (write !== 6) return write;
  return register.function === 16 || wordsIn(register.type) === 2 ? 16 : 6;
}

/** The highest address, and the highest number that one word holds. Source: Modbus Application Protocol V1.1b3, 4.4. */
export const HIGHEST_WORD = 0xffff;

/** How many registers, or bits, a value takes. */
export const wordsIn = (type: RegisterType): 1 | 2 => (type.endsWith('32') ? 2 : 1);
