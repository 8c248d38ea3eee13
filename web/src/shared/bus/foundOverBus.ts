import type { CodeValue, CodeValues } from '@brine/core/controllers/definitions';

/** What a reading over a line came to. */
export interface BusFound {
  readonly values: readonly { readonly code: string; readonly value: CodeValue }[];
  readonly unread: readonly { readonly code: string; readonly why: string }[];
  readonly requests: number;
}

export const valuesOf = ({ values }: BusFound): CodeValues =>
  new Map(values.map(({ code, value }) => [code, value]));
