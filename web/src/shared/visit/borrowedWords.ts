import {
  printCode,
  resolutionOf,
  type CodeValue,
  type DisplayState,
  type Parameter,
} from '@brine/core/controllers/definitions';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import { borrowedProbe } from '@brine/core/judgement/leaving';
import { printValue, settingOf } from '@brine/core/foundation/settings';
import type { BorrowedThing } from '@brine/core/record/job';

/** A code's value as its display shows it. */
export const shownCode = ({ encoding }: Parameter, value: CodeValue, display: DisplayState): string =>
  encoding.type === 'number' ? printCode(Number(value), resolutionOf(encoding, display)) : String(value);

/** “Set point 41 °F”, or the probe. */
export const borrowedLabel = ({ id, setting, to }: BorrowedThing, unit: TemperatureUnit): string =>
  setting !== null && to !== null
    ? `${settingOf(setting).label} ${printValue(settingOf(setting), to, unit)}`
    : borrowedProbe(id);
