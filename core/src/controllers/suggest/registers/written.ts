import type { RegisterType } from '../../definitions/index.ts';
import type { AddressCount } from './place.ts';
import type { RegisterRole } from './readRegisters.ts';

/** What somebody said of one row, as it was typed; what is not here stands as it was read. */
export interface SaidOfRegister {
  /** `code SP`, `reading air`, or null: left out. */
  readonly is?: string | null;
  /** 1 to 4: which table; 16: holding registers that are only written together. */
  readonly function?: 1 | 2 | 3 | 4 | 16;
  /** As it goes over the wire. */
  readonly address?: string;
  readonly type?: RegisterType;
  readonly wordOrder?: 'highFirst' | 'lowFirst';
  readonly scale?: string;
  /** Empty: as the display shows the code. */
  readonly unit?: string;
  readonly writable?: boolean;
  readonly order?: string;
  readonly unlockAddress?: string;
  readonly unlockValue?: string;
  readonly absent?: string;
  /** Looked at, and right as it stands. */
  readonly checked?: boolean;
}

/** A register table as somebody writes it down: the booklet's text, and what was said of it. */
export interface WrittenRegisters {
  readonly text: string;
  readonly roles: readonly RegisterRole[] | null;
  readonly count: AddressCount;
  /** Where registers stand of which the booklet does not say it: among the holding or the input registers; null: nobody said. */
  readonly table: 3 | 4 | null;
  readonly rows: Readonly<Record<string, SaidOfRegister>>;
  /** By which register the control is told from others, as typed; empty: not stated. */
  readonly check: { readonly function: 3 | 4; readonly address: string; readonly equals: string };
}

export const noRegisters: WrittenRegisters = {
  text: '',
  roles: null,
  count: 'usual',
  table: null,
  rows: {},
  check: { function: 3, address: '', equals: '' },
};
