/** First and last day that a report tells of, `2026-11-01`; both count. */
export interface ReportPeriod {
  readonly from: string;
  readonly to: string;
}

/** What a report says of one unit. */
export interface UnitReport {
  readonly site: string;
  readonly tag: string;
  readonly name: string;
  readonly plate: string;
  /** The control in it; empty where no job says. */
  readonly control: string;
  /** What it is set to, in sentences; of what is known to be in the unit. */
  readonly setTo: readonly string[];
  /** Every code that is known to be in the unit. */
  readonly settings: readonly { readonly code: string; readonly meaning: string; readonly value: string }[];
  /** Values that are planned and not in the unit yet. */
  readonly notYet: number;
  /** What was done in the period, oldest first. */
  readonly work: readonly { readonly day: string; readonly words: string; readonly by: string }[];
  /** Logs that reach into the period. */
  readonly logs: readonly {
    readonly name: string;
    readonly from: string;
    readonly to: string;
    readonly words: string;
  }[];
  /** Times outside of the alarm limits that stand in the unit. */
  readonly excursions: readonly {
    readonly log: string;
    readonly from: string;
    readonly to: string;
    readonly minutes: number;
    readonly words: string;
  }[];
  /** The last calibration of each probe, whenever it was. */
  readonly calibrations: readonly {
    readonly probe: string;
    readonly day: string;
    readonly words: string;
    readonly nextDue: string;
    readonly overdue: boolean;
  }[];
  readonly open: readonly { readonly words: string; readonly because: string }[];
  /** What somebody comes back for. */
  readonly next: readonly { readonly due: string; readonly what: string; readonly overdue: boolean }[];
}

/** A report for a customer: their units over a period. */
export interface CustomerReport {
  readonly company: string;
  readonly phone: string;
  readonly logo: string | null;
  /** Whom it tells of: a site, or every site. */
  readonly of: string;
  readonly period: ReportPeriod;
  /** The day it was made. */
  readonly made: string;
  readonly units: readonly UnitReport[];
}
