import type { UnitDescription } from '@brine/core/advice';
import type { ControlConfig } from '@brine/core/control';
import type { FileProblem } from '@brine/core/files';
import type { TemperatureUnit } from '@brine/core/quantities';
import type { SettingValues } from '@brine/core/settings';
import type { Replayed, Scenario, Simulated } from '@brine/core/simulation';
import type { JudgedFinding, Tuned, TuningRow, TuningTask } from '@brine/core/tuning';

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
    asks: {
      readonly unit: UnitDescription;
      readonly values: SettingValues;
      readonly display: TemperatureUnit;
      readonly found: SettingValues | null;
    };
    gives: readonly JudgedFinding[];
  };
  replay: {
    asks: { readonly text: string; readonly config: ControlConfig };
    gives: (Replayed & { readonly gaps: string }) | FileProblem;
  };
}
export type CoreJob = keyof CoreJobs;

export type CoreRequest = { [K in CoreJob]: { readonly kind: K } & CoreJobs[K]['asks'] }[CoreJob];

/** How far a job is, what came of it, or why nothing did. */
export type CoreAnswer =
  | { readonly id: number; readonly share: number }
  | { readonly id: number; readonly result: unknown }
  | { readonly id: number; readonly problem: string };
