import {
  displayOf,
  followsDisplay,
  parameterOf,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
} from '@brine/core/controllers/definitions';
import type { ProgramCopy } from '@brine/core/controllers/beside';
import { stoodEntries } from '../bus/becameEntries.ts';
import type { EntryBody, PinnedDefinition } from '@brine/core/record/entries';

/** A program that another unit gets, and what was read there before. */
export interface CopyToUnit {
  readonly pin: PinnedDefinition;
  readonly control: ControllerDefinition;
  readonly copy: ProgramCopy;
  readonly told: DisplayState;
  readonly standing: CodeValues;
  /** The job the program comes from, and its unit. */
  readonly from: { readonly job: string; readonly unit: string };
  /** The job it goes into says already which control is the new one, and which was there before. */
  readonly hasNew: boolean;
  readonly hasOld: boolean;
  /** What the unit is, where it is said to be of the same kind and its own job says nothing of that. */
  readonly answers: readonly EntryBody[];
}

/** What a job says once a program was copied into it: where it comes from, what was read before, and what is planned; what stays as it was is planned as it stands. */
export function copyEntries({
  pin,
  control,
  copy,
  told,
  standing,
  from,
  hasNew,
  hasOld,
  answers,
}: CopyToUnit): readonly EntryBody[] {
  const why = `copied from ${from.unit}`;
  const now = displayOf(control, standing);
  const moves = now.unit !== told.unit || now.decimal !== told.decimal;
  const stays = ({ code }: { readonly code: string }): readonly EntryBody[] => {
    const value = standing.get(code);
    const encoding = parameterOf(control, code)?.encoding;
    // What becomes of a number where the display turns is the control's own.
    const turns = moves && encoding?.type === 'number' && followsDisplay(encoding);
    return value === undefined || copy.copied.has(code) || turns
      ? []
      : [
          { kind: 'plannedCode', code, value, why: 'stays as it stands there' },
          ...stoodEntries([{ code, value }], null),
        ];
  };
  return [
    ...answers,
    ...(hasNew ? [] : [{ kind: 'control' as const, role: 'new' as const, definition: pin }]),
    // A control that stays: what was read of it is what was found.
    ...(hasNew || hasOld
      ? []
      : [
          { kind: 'control' as const, role: 'old' as const, definition: pin },
          ...[...standing].map(([code, value]) => ({
            kind: 'found' as const,
            code,
            value: String(value),
            over: 'bus' as const,
          })),
        ]),
    { kind: 'copiedFrom', ...from },
    ...[...copy.copied].map(([code, value]) => ({ kind: 'plannedCode' as const, code, value, why })),
    ...copy.left.flatMap(stays),
  ];
}
