import type { UnitDescription } from '@brine/core/foundation/unit';
import type { CodeValue, ControllerDefinition } from '@brine/core/controllers/definitions';
import type { AtPanel, MayBe } from '@brine/core/controllers/interrupted';
import type { CondenserConfig } from '@brine/core/machines/condenser';
import type { ControlConfig } from '@brine/core/machines/box';
import type { CondenserRun, CondenserRunResult } from '@brine/core/machines/condenser';
import type { FaultSpeed, FloatTrial, LoopTrial } from '@brine/core/judgement/condenserFans';
import type { CauseDay } from '@brine/core/judgement/complaints';
import type { Predicted } from '@brine/core/judgement/commissioning';
import type { VisitPlan, VisitQuestion } from '@brine/core/judgement/leaving';
import type { AskPlan, Doubt } from '@brine/core/judgement/asking';
import type { BeforePower, PowerQuestion } from '@brine/core/judgement/energise';
import type { holdAgainst, Holding, Learning } from '@brine/core/judgement/learning';
import type { BoxFile, Predicted as UnitPredicted, Priors } from '@brine/core/machines/identification';
import type { Judged } from '@brine/core/logs/against';
import type { Log, LogLayout, Tidied } from '@brine/core/logs/reading';
import type { FileProblem } from '@brine/core/foundation/files';
import type { TemperatureUnit } from '@brine/core/foundation/quantities';
import type { SettingValues } from '@brine/core/foundation/settings';
import type { Replayed, Scenario, Simulated } from '@brine/core/machines/simulation';
import type { Circuit } from '@brine/core/wiring/circuit';
import type { Diagnosis } from '@brine/core/wiring/faults';
import type { DoubtFact, Narrowed } from '@brine/core/wiring/unsure';
import type { Fit, UnitNeeds } from '@brine/core/judgement/fit';
import type { Prepared } from '@brine/core/controllers/pages';
import type { Proof } from '@brine/core/wiring/meter';
import type { Reading } from '@brine/core/wiring/readings';
import type { PairedOffset, ToolId, ToolInput, ToolReport } from '@brine/core/judgement/tools';
import type { JudgementInput, Verdict } from '@brine/core/judgement/verdict';
import type { Tuned, TuningRow, TuningTask } from '@brine/core/judgement/tuning';

/** Heavy calls of the core, and what comes back. */
export interface CoreJobs {
  run: {
    asks: { readonly scenario: Scenario; readonly sampleEvery: number; readonly stride: number };
    gives: Simulated;
  };
  variants: {
    asks: { readonly task: TuningTask; readonly indices: readonly number[] };
    gives: readonly TuningRow[];
  };
  advise: { asks: { readonly task: TuningTask; readonly rows: readonly TuningRow[] }; gives: Tuned };
  judge: {
    asks: JudgementInput;
    gives: Verdict;
  };
  replay: {
    asks: { readonly text: string; readonly config: ControlConfig };
    gives: (Replayed & { readonly gaps: string }) | FileProblem;
  };
  prepareScan: {
    asks: {
      readonly rgba: Uint8ClampedArray<ArrayBuffer>;
      readonly width: number;
      readonly height: number;
    };
    gives: Prepared | null;
  };
  prove: { asks: { readonly circuit: Circuit }; gives: Proof };
  diagnose: {
    asks: {
      readonly circuit: Circuit;
      readonly readings: readonly Reading[];
      readonly kinds: 'first' | 'all';
    };
    gives: Diagnosis | null;
  };
  narrow: {
    asks: {
      readonly circuit: Circuit;
      readonly doubts: readonly DoubtFact[];
      readonly readings: readonly Reading[];
    };
    gives: Narrowed;
  };
  fit: {
    asks: { readonly needs: UnitNeeds; readonly library: readonly ControllerDefinition[] };
    gives: readonly Fit[];
  };
  readLog: {
    asks: {
      readonly file: Blob;
      readonly layout: LogLayout;
      /** What the log is judged against; null: nothing is known of it. */
      readonly settings: SettingValues | null;
      readonly display: TemperatureUnit;
    };
    gives: { readonly log: Log; readonly tidied: Tidied; readonly judged: Judged } | FileProblem;
  };
  condenserDay: {
    asks: { readonly run: CondenserRun; readonly sampleEvery: number };
    gives: CondenserRunResult | null;
  };
  condenserLoop: { asks: { readonly run: CondenserRun; readonly config: CondenserConfig }; gives: LoopTrial };
  condenserFloat: {
    asks: {
      readonly run: CondenserRun;
      readonly difference: number | null;
      readonly config: CondenserConfig;
    };
    gives: FloatTrial;
  };
  tool: {
    asks: { readonly tool: ToolId; readonly input: ToolInput };
    gives: ToolReport | string | null;
  };
  pairedOffset: {
    asks: { readonly air: Float64Array; readonly plate: Float64Array };
    gives: PairedOffset | string;
  };
  faultSpeed: { asks: { readonly log: Log }; gives: FaultSpeed | string };
  predict: {
    asks: {
      readonly unit: UnitDescription;
      readonly values: SettingValues;
      readonly startsAt: number | null;
    };
    gives: Predicted | string;
  };
  causes: {
    asks: { readonly unit: UnitDescription; readonly values: SettingValues };
    gives: readonly CauseDay[] | string | null;
  };
  learn: {
    asks: {
      readonly log: Log;
      readonly unit: UnitDescription;
      readonly values: SettingValues;
      readonly priors?: Priors;
    };
    gives: Learning | string | null;
  };
  predictUnit: {
    asks: { readonly box: BoxFile; readonly unit: UnitDescription; readonly values: SettingValues };
    gives: UnitPredicted | string | null;
  };
  holdAgainst: {
    asks: Holding;
    gives: ReturnType<typeof holdAgainst>;
  };
  beforePower: { asks: PowerQuestion; gives: BeforePower };
  askController: { asks: { readonly doubt: Doubt }; gives: AskPlan };
  planVisit: { asks: Omit<VisitQuestion, 'forecast'>; gives: VisitPlan };
  memories: {
    asks: {
      readonly definition: ControllerDefinition;
      readonly at: Omit<AtPanel, 'before'> & { readonly before: Readonly<Record<string, CodeValue>> };
    };
    /** Null where nothing is stated of the panel. */
    gives: readonly MayBe[] | null;
  };
  fanCauses: { asks: { readonly run: CondenserRun }; gives: readonly CauseDay[] | null };
}
export type CoreJob = keyof CoreJobs;

export type CoreRequest = { [K in CoreJob]: { readonly kind: K } & CoreJobs[K]['asks'] }[CoreJob];

/** How far a job is, what came of it, or why nothing did. */
export type CoreAnswer =
  | { readonly id: number; readonly share: number }
  | { readonly id: number; readonly result: unknown }
  | { readonly id: number; readonly problem: string };
