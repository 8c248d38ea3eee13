import type { ComparedPoint } from '../../judgement/calibration/index.ts';
import type { TestResult } from '../../judgement/commissioning/index.ts';
import type { CheckId, Decision, SignId } from '../../judgement/complaints/index.ts';
import type { LogFindingCode } from '../../logs/against/index.ts';
import type { LogLayout } from '../../logs/reading/index.ts';
import type { OhmsAtTemperature } from '../../foundation/probes/index.ts';

/** The instrument a probe was compared with. Dates are `YYYY-MM-DD`. */
export interface ReferenceInstrument {
  readonly name: string;
  readonly serial: string;
  /** When it is to be calibrated itself; empty where nobody knows. */
  readonly due: string;
  /** Expanded uncertainty by its certificate, K; null where there is none. */
  readonly uncertainty: number | null;
}

/** A probe compared with a reference, and what was typed into the control. Temperatures °C; before and after as the display shows them. */
export interface CalibrationRecord {
  readonly probe: string;
  readonly code: string | null;
  readonly points: readonly ComparedPoint[];
  readonly before: number | null;
  readonly after: number | null;
  readonly unit: string;
  readonly reference: ReferenceInstrument;
  /** Picture of the certificate or the tag. */
  readonly picture: string | null;
  readonly date: string;
  readonly nextDue: string;
}

/** Something to come back for. */
export interface FollowUp {
  readonly due: string;
  readonly what: string;
  readonly done: boolean;
}

/** A drawn line of a signature: x and y in turn, as shares of the field. */
export type Stroke = readonly number[];

/** What is done in Prove and Hand over. */
export type ProvingBody =
  | {
      readonly kind: 'probe';
      readonly id: string;
      readonly role: string;
      readonly readings: readonly OhmsAtTemperature[];
      readonly leadOhms: number;
      readonly sensor: string | null;
    }
  | { readonly kind: 'calibration'; readonly id: string; readonly record: CalibrationRecord | null }
  | { readonly kind: 'sign'; readonly sign: SignId; readonly seen: boolean | null }
  | { readonly kind: 'complaintCheck'; readonly check: CheckId; readonly answer: boolean | null }
  | {
      readonly kind: 'verdict';
      readonly cause: string | null;
      readonly decision: Decision | null;
      readonly words: string;
    }
  | {
      readonly kind: 'test';
      readonly test: string;
      readonly result: TestResult | null;
      readonly value: number | null;
      readonly word: string;
      readonly picture: string | null;
    }
  | { readonly kind: 'timer'; readonly test: string; readonly startedAt: string | null }
  | { readonly kind: 'pullDown'; readonly startedAt: string | null }
  | { readonly kind: 'pullDownReading'; readonly readAt: string; readonly celsius: number | null }
  | {
      readonly kind: 'log';
      readonly id: string;
      readonly name: string;
      readonly layout: LogLayout | null;
      readonly samples: number;
      readonly from: string;
      readonly to: string;
      /** Codes of what it said against the settings when it was kept. */
      readonly findings: readonly LogFindingCode[];
    }
  | {
      readonly kind: 'alarmSeen';
      readonly id: string;
      readonly code: string;
      readonly words: string;
      readonly cleared: boolean;
    }
  | { readonly kind: 'followUp'; readonly id: string; readonly followUp: FollowUp | null }
  | { readonly kind: 'signOff'; readonly name: string; readonly strokes: readonly Stroke[] }
  | { readonly kind: 'keypadLocked'; readonly locked: boolean | null };

/** The register such an entry writes. */
export function provingRegister(body: ProvingBody): string {
  switch (body.kind) {
    case 'probe':
    case 'calibration':
    case 'log':
    case 'alarmSeen':
    case 'followUp':
      return `${body.kind}:${body.id}`;
    case 'sign':
      return `sign:${body.sign}`;
    case 'complaintCheck':
      return `complaintCheck:${body.check}`;
    case 'test':
    case 'timer':
      return `${body.kind}:${body.test}`;
    case 'pullDownReading':
      return `pullDownReading:${body.readAt}`;
    case 'verdict':
    case 'pullDown':
    case 'signOff':
    case 'keypadLocked':
      return body.kind;
  }
}
