import { LONGEST_CODE, LONGEST_TEXT } from '@brine/contract/lengths';
import type { CodeValue } from '@brine/core/controllers/definitions';
import type { EntryBody } from '@brine/core/record/entries';
import type { BusWritten } from '../../shared/bus/useBusWriting.ts';
import { cutText } from '../../shared/ui/cutText.ts';

/** Values that stand already as planned, for the record: read, and not written. */
export const stoodEntries = (
  stood: readonly { readonly code: string; readonly value: CodeValue }[],
  atUnit: string | null,
): readonly EntryBody[] =>
  stood.map(({ code, value }) => ({
    kind: 'keyed',
    code,
    value,
    state: 'keyed',
    over: 'bus',
    stood: true,
    ...(atUnit !== null && { atUnit }),
  }));

/** What became of values that were written, for the record: what was written stands as written; what came back otherwise, or was refused, as what the control shows: that stays open. */
export function becameEntries({ atUnit, written }: BusWritten): readonly EntryBody[] {
  return written.flatMap((one): readonly EntryBody[] => {
    const about = { kind: 'keyed' as const, code: one.code, value: one.value, over: 'bus' as const, atUnit };
    if (one.is === 'written') return [{ ...about, state: 'keyed' as const }];
    // What nobody knows, or nothing was done about, stays open as it was.
    if (one.found === undefined) return [];
    return [
      {
        ...about,
        state: 'showsElse' as const,
        shown: cutText(String(one.found), LONGEST_CODE),
        ...(one.why !== undefined && { why: cutText(one.why, LONGEST_TEXT) }),
      },
    ];
  });
}
