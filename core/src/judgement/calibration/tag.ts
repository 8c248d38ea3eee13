import { SAME_NUMBER } from '../../foundation/limits/index.ts';
/** The two numbers on a returned sensor's tag. */
export const tagFields = ['slope', 'offset'] as const;
export type TagField = (typeof tagFields)[number];

/** Least and most that a number of the tag can be. */
export interface TagRange {
  readonly from: number;
  readonly to: number;
}

export interface TagInput {
  readonly slope: number;
  readonly offset: number;
  readonly ranges?: Readonly<Partial<Record<TagField, TagRange>>>;
  readonly present?: Readonly<Partial<Record<TagField, number>>>;
  /** The same numbers typed a second time, unseen. */
  readonly again?: Readonly<Partial<Record<TagField, number>>>;
  /** The other sensor's tag, to find supply and return exchanged. */
  readonly other?: { readonly name: string; readonly present: Readonly<Partial<Record<TagField, number>>> };
}

export type TagCode = 'decimalSlip' | 'outOfRange' | 'tenfoldChange' | 'typedDifferently' | 'swapped';

/** What speaks against a tag as typed. An error stops it; a warning asks. */
export interface TagFinding {
  readonly code: TagCode;
  readonly severity: 'error' | 'warning';
  readonly field: TagField;
  readonly typed: number;
  readonly suggested: number | null;
  readonly message: string;
}

const powers = [1e-1, 10, 1e-2, 100, 1e-3, 1000];

/**
 * Judges the numbers of a tag before they go in: out of range (a decimal slip where one power of ten, 1/1000 to 1000, brings it in), a tenfold
 * change from what stands there, typed differently the second time, and equal to the other sensor's. A slope of 2.0431 typed for 20.431 is
 * found by each of the first three.
 */
export function checkTag(input: TagInput): readonly TagFinding[] {
  return tagFields
    .flatMap((field) => [
      ...inRange(field, input[field], input.ranges?.[field]),
      ...tenfold(field, input[field], input.present?.[field], input.ranges?.[field]),
      ...twice(field, input[field], input.again?.[field]),
    ])
    .concat(swapped(input));
}

function inRange(field: TagField, typed: number, range: TagRange | undefined): readonly TagFinding[] {
  if (!range || within(typed, range)) return [];
  const slip = powers.map((power) => clean(typed * power)).find((value) => within(value, range));
  const between = `between ${range.from} and ${range.to}`;
  return [
    slip === undefined
      ? {
          code: 'outOfRange',
          severity: 'error',
          field,
          typed,
          suggested: null,
          message: `${typed} is no ${field} of this sensor: expected ${between}.`,
        }
      : {
          code: 'decimalSlip',
          severity: 'error',
          field,
          typed,
          suggested: slip,
          message: `${typed} is no ${field} of this sensor: expected ${between}. A slipped point? ${slip} would be in range; read the tag again.`,
        },
  ];
}

function tenfold(
  field: TagField,
  typed: number,
  present: number | undefined,
  range: TagRange | undefined,
): readonly TagFinding[] {
  if (!present || !typed || (range && !within(typed, range))) return [];
  const ratio = Math.abs(typed / present);
  // A value that moves by about a power of ten is more likely a slipped point than another sensor.
  const power = Math.round(Math.log10(ratio));
  if (power === 0 || Math.abs(Math.log10(ratio) - power) > 0.25) return [];
  const suggested = clean(typed / 10 ** power);
  return [
    {
      code: 'tenfoldChange',
      severity: 'error',
      field,
      typed,
      suggested,
      message: `${typed} is ${power > 0 ? `${10 ** power} times` : `a ${10 ** -power}th of`} the ${field} that stands there, ${present}. A slipped point? Read the tag again: ${suggested} would be near it.`,
    },
  ];
}

function twice(field: TagField, typed: number, again: number | undefined): readonly TagFinding[] {
  if (again === undefined || Math.abs(typed - again) <= SAME_NUMBER * Math.max(1, Math.abs(typed))) return [];
  return [
    {
      code: 'typedDifferently',
      severity: 'error',
      field,
      typed,
      suggested: null,
      message: `The ${field} was typed ${typed} first and ${again} the second time. Read the tag once more and type it anew.`,
    },
  ];
}

function swapped({ slope, offset, other }: TagInput): readonly TagFinding[] {
  if (!other) return [];
  const { slope: s, offset: o } = other.present;
  if (
    s === undefined ||
    o === undefined ||
    (s === 1 && o === 0) ||
    clean(s) !== clean(slope) ||
    clean(o) !== clean(offset)
  )
    return [];
  return [
    {
      code: 'swapped',
      severity: 'error',
      field: 'slope',
      typed: slope,
      suggested: null,
      message: `Just these two numbers stand at the ${other.name} sensor. Each sensor has a tag of its own: look which one hangs on this one.`,
    },
  ];
}

const within = (value: number, { from, to }: TagRange) =>
  value >= from - SAME_NUMBER && value <= to + SAME_NUMBER;
const clean = (value: number) => Number(value.toPrecision(12));
