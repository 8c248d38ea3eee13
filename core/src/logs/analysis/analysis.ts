import type { Drift } from './days.ts';
import type { Defrost, EndSettings, FoundBy } from './defrosts.ts';
import type { Gap } from './grid.ts';

/** What the settings say that an analysis uses; all of it may be unknown. */
export interface KnownSettings extends EndSettings {
  readonly drain: number | null;
  readonly highLimit: number | null;
  readonly lowLimit: number | null;
}

export const nothingKnown: KnownSettings = {
  endTemperature: null,
  maxDuration: null,
  drain: null,
  highLimit: null,
  lowLimit: null,
};

/** How sure a figure is: what it may be off by, and in words from what it comes. */
export interface Confidence {
  readonly plusMinus: number | null;
  readonly words: string;
}

/** Somebody changed the set point, the differential, or both. */
export interface BandChange {
  /** Between these two times, seconds. */
  readonly after: number;
  readonly before: number;
  readonly cutOut: { readonly was: number; readonly is: number };
  readonly cutIn: { readonly was: number; readonly is: number } | null;
}

/** Everything a log tells, °C, K, s; null where it does not tell it. */
export interface Analysis {
  readonly samples: number;
  readonly from: number;
  readonly to: number;
  readonly step: number;
  readonly gaps: readonly Gap[];
  readonly cutIn: number | null;
  readonly cutOut: number | null;
  readonly differential: number | null;
  readonly startsPerHour: number | null;
  readonly dutyPercent: number | null;
  readonly shortestRunMinutes: number | null;
  readonly shortestRestMinutes: number | null;
  readonly defrosts: readonly Defrost[];
  readonly defrostsFoundBy: FoundBy;
  readonly defrostIntervalHours: number | null;
  /** From the end of a defrost until the air is at cut-in again. */
  readonly recoveryMinutes: number | null;
  readonly doors: {
    readonly openings: number;
    readonly openMinutes: number;
    readonly longestMinutes: number;
  } | null;
  readonly fanPercentMean: number | null;
  readonly meanKineticTemperature: number | null;
  readonly minutesAbove: number | null;
  readonly minutesBelow: number | null;
  readonly drift: Drift | null;
  readonly changes: readonly BandChange[];
  readonly tooCoarse: string | null;
  /** Spread of the starts, K: wide where something else than the thermostat decides when it starts. */
  readonly startSpread: number | null;
  readonly restMinutesMedian: number | null;
  readonly confidence: Readonly<Record<string, Confidence>>;
}
