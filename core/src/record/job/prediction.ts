import type { SettingValues } from '../../foundation/settings/index.ts';
import type { EntryBody } from '../entries/index.ts';
import type { JobState } from '../fold/index.ts';

/** A prediction that was kept when the unit was handed over. */
export interface KeptPrediction {
  readonly figures: Extract<EntryBody, { kind: 'predicted' }>['figures'];
  /** The settings it was said of. */
  readonly values: SettingValues;
  readonly at: string;
  /** It came over from the job before: no program of this one was spoken of. */
  readonly fromBefore: boolean;
}

/** What was predicted last in a job; null where nothing was. */
export function predictionOf(state: JobState): KeptPrediction | null {
  const head = state.registers.get('predicted')?.at(-1)?.entry;
  if (head?.body.kind !== 'predicted' || head.body.figures.length === 0) return null;
  const { figures, values } = head.body;
  return { figures, values, at: head.deviceTime, fromBefore: !state.registers.has('handedOver') };
}
