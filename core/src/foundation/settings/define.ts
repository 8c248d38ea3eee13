import type { Sentence } from '../sentences/index.ts';
import type { Quantity, Unit } from '../quantities/index.ts';
import type { Application } from './applications.ts';

/** What a setting's value is made of; decides how it is written in files. */
export type SettingKind =
  | 'temperature'
  | 'temperatureDifference'
  | 'duration'
  | 'volts'
  | 'percent'
  | 'choice'
  | 'flag'
  | 'count'
  | 'ratio'
  | 'clockTime'
  | 'clockTimes';

/** Two ends of a range thought sound, both included. */
export interface SoundRange {
  readonly min: Quantity;
  readonly max: Quantity;
}

/** One line of the dictionary. `unit` is the unit it is computed with, not one it must be typed in. */
export interface SettingEntry {
  readonly label: string;
  readonly kind: SettingKind;
  readonly unit?: Unit;
  readonly choices?: readonly string[];
  readonly choiceLabels?: Readonly<Record<string, string>>;
  readonly meaning: string;
  /** For numbers: what happens when it is set too low, too high. */
  readonly tooLow?: Sentence;
  readonly tooHigh?: Sentence;
  /** For choices and flags: what each does. */
  readonly effects?: Readonly<Record<string, string>>;
  readonly related: readonly string[];
  readonly sound?: Readonly<Partial<Record<Application, SoundRange>>>;
}

/** Types a group of entries without losing their ids. */
export function group<const Group extends Readonly<Record<string, SettingEntry>>>(entries: Group): Group {
  return entries;
}

/** A range in one unit: `range(-15, 0, 'degF')`. */
export function range(min: number, max: number, unit: Unit): SoundRange {
  return { min: { value: min, unit }, max: { value: max, unit } };
}
