import type { GoalId } from '@brine/core/judgement/tuning';
import type { Sides } from '@brine/core/foundation/unit';
import type { AcceptedEntry, PinnedDefinition } from '@brine/core/record/entries';

/** Shapes of the API, as the server's services define them. */
export type Role = 'viewer' | 'technician' | 'lead';

export interface Person {
  readonly id: string;
  readonly name: string;
  readonly login: string;
  readonly role: Role;
  readonly demo: boolean;
}

export interface Company {
  readonly name: string;
  readonly schools: Sides;
  readonly displayUnit: 'celsius' | 'fahrenheit';
  readonly version: number;
}

export interface Site {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly note: string;
  readonly archived: boolean;
  readonly version: number;
}

export interface Unit {
  readonly id: string;
  readonly siteId: string;
  readonly siteName: string;
  readonly name: string;
  readonly tag: string;
  readonly plate: string;
  readonly archived: boolean;
  readonly version: number;
}

export interface Job {
  readonly id: string;
  readonly title: string;
  readonly unit: Unit;
  readonly createdAt: string;
  readonly createdBy: string;
  readonly lastSequence: number;
  readonly archived: boolean;
  readonly version: number;
}

export interface EntryPage {
  readonly entries: readonly AcceptedEntry[];
  readonly names: Readonly<Record<string, string>>;
  readonly more: boolean;
}

export type EntryResult =
  | {
      readonly id: string;
      readonly status: 'accepted';
      readonly sequence: number;
      readonly receivedAt: string;
    }
  | { readonly id: string; readonly status: 'refused'; readonly code: string; readonly message: string };

export interface ControllerLine extends PinnedDefinition {
  readonly summary: string;
  readonly parameters: number;
  readonly newest: boolean;
}

export interface PersonLine extends Person {
  readonly disabled: boolean;
  readonly invited: boolean;
  readonly version: number;
}

export interface ProgressLine {
  readonly person: string;
  readonly name: string;
  readonly definitionId: string;
  readonly family: string;
  readonly drill: string;
  readonly runs: number;
  readonly passed: number;
  readonly bestSeconds: number | null;
  readonly lastAt: string;
}

export interface ControllerUse {
  readonly unit: string;
  readonly tag: string;
  readonly site: string;
  readonly job: string;
  readonly title: string;
  readonly role: 'old' | 'new';
  readonly version: string;
  readonly thisVersion: boolean;
}

/** A review of many units: how far it is, and what is said of each so far. */
export interface Review {
  readonly id: string;
  readonly goal: GoalId | null;
  readonly total: number;
  readonly done: number;
  readonly stopped: boolean;
  readonly units: readonly {
    readonly jobId: string;
    readonly unit: string;
    readonly site: string;
    readonly problem: string | null;
    readonly judged: {
      readonly findings: readonly {
        readonly code: string;
        readonly severity: 'error' | 'warning' | 'note';
        readonly message: string;
        readonly remedy: string | null;
      }[];
      readonly advised: {
        readonly sound: boolean;
        readonly change: string | null;
        readonly reason: string;
      } | null;
    } | null;
  }[];
}
