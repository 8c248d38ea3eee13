import type { SettingId, SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { printFor, quantity, type TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { ControlConfig } from '../../machines/box/index.ts';
import type { CommissioningTest } from '../commissioning/index.ts';
import type { Borrowed, OutNow } from './borrowed.ts';
import type { AirNow, VisitForecast } from './forecast.ts';
import type { busy } from './schedule.ts';
import type { Span } from './span.ts';

/** A test that has no result yet. */
export interface OpenTest {
  readonly test: CommissioningTest;
  /** Its stopwatch has run for so long, s; null: it does not run. */
  readonly running: number | null;
}

/** A value of the control that can be moved for a while, and between what, in °C or s. Null ends are open. */
export interface Movable {
  readonly setting: SettingId;
  readonly least: number | null;
  readonly most: number | null;
}

/** What a visit is planned from. */
export interface VisitQuestion {
  readonly unit: UnitDescription;
  /** What the control will do: read back from its own codes. */
  readonly values: SettingValues;
  readonly tests: readonly OpenTest[];
  /** Null for what is no box. */
  readonly forecast: VisitForecast | null;
  readonly air: AirNow;
  /** How long one has, s. */
  readonly seconds: number;
  /** How long the power has been on, s; null: nobody knows. */
  readonly powered: number | null;
  readonly movable: readonly Movable[];
  readonly out: readonly OutNow[];
  readonly display: TemperatureUnit;
}

/** What the unit does that ends a wait. */
export type Moment = 'stop' | 'start' | 'defrostEnd' | 'drainEnd' | 'fansOn' | 'alarm';

/** A part of a proof that follows the part before it at once. */
export interface ProofPhase {
  /** What is done, or waited for. */
  readonly does: string;
  readonly seconds: Span;
  readonly uses: readonly (keyof typeof busy)[];
  /** Whose stopwatch runs in it. */
  readonly test: string | null;
  /** What ends it, where a clock does not. */
  readonly until: Moment | null;
  /** Something is borrowed from its beginning on, or back at its end. */
  readonly lends: Borrowed | null;
  readonly returns: Borrowed | null;
}

/** One way to prove something; the first of a proof is the one that borrows least. */
export interface ProofWay {
  readonly phases: readonly ProofPhase[];
  /** Tests that are proven by it. */
  readonly tests: readonly string[];
  readonly borrows: readonly Borrowed[];
  /** It cannot begin before, s from now. */
  readonly from: Span;
}

/** Tests that are proven in one go. */
export interface Proof {
  readonly id: string;
  readonly title: string;
  readonly ways: readonly ProofWay[];
  /** Proofs that come before it. */
  readonly after: readonly string[];
  /** It is under way. */
  readonly isBegun?: boolean;
}

/** What every builder of proofs has at hand. */
export interface Making extends VisitQuestion {
  readonly config: ControlConfig | null;
  has(id: string): boolean;
  titleOf(id: string): string;
  degrees(celsius: number): string;
  canMove(setting: SettingId, to: number): boolean;
}

/** A question with what the builders ask of it. */
export function makingOf(question: VisitQuestion, config: ControlConfig | null): Making {
  const open = new Map(question.tests.map(({ test }) => [test.id, test]));
  return {
    ...question,
    config,
    has: (id) => open.has(id),
    titleOf: (id) => open.get(id)?.title ?? id,
    degrees: (celsius) => printFor(quantity(celsius, 'degC'), question.display),
    canMove: (setting, to) =>
      question.movable.some(
        (one) =>
          one.setting === setting &&
          (one.least === null || to >= one.least - 1e-9) &&
          (one.most === null || to <= one.most + 1e-9),
      ),
  };
}

/** A phase that keeps everything busy, and one that is waited for while the machine goes by its probe. */
export const everything = ['hands', 'machine', 'probe'] as const;
export const theUnit = ['machine', 'probe'] as const;

const atOnce: Span = { early: 0, likely: 0, late: 0 };

/** A phase; `test` and what is lent or returned where it has them. */
export const phase = (
  does: string,
  seconds: Span,
  uses: ProofPhase['uses'],
  more: Partial<Pick<ProofPhase, 'test' | 'until' | 'lends' | 'returns'>> = {},
): ProofPhase => ({ does, seconds, uses, test: null, until: null, lends: null, returns: null, ...more });

/** A way that borrows what its phases lend. */
export const wayOf = (
  tests: readonly string[],
  phases: readonly ProofPhase[],
  from: Span = atOnce,
): ProofWay => ({
  tests,
  phases,
  from,
  borrows: phases.flatMap(({ lends }) => (lends ? [lends] : [])),
});
