import type { CodeValue, CodeValues } from '@brine/core/controllers/definitions';
import { request } from '../api/client.ts';
import type { OnLine } from './useLines.ts';

/** What a reading over a line came to. */
export interface BusFound {
  readonly values: readonly { readonly code: string; readonly value: CodeValue }[];
  readonly unread: readonly { readonly code: string; readonly why: string }[];
  readonly requests: number;
}

export const valuesOf = ({ values }: BusFound): CodeValues =>
  new Map(values.map(({ code, value }) => [code, value]));

/** Reads all values of a unit's control, with a job or without; null where that cannot be, with the problem told on the line. */
export const readUnit = (on: OnLine, unit: string, definition: string): Promise<BusFound | null> =>
  on.run<BusFound>((at) => request('startUnitRead', { params: { id: unit }, body: { ...at, definition } }));
