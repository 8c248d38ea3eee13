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
