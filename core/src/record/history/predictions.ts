import { standsOf } from '../../judgement/learning/index.ts';
import type { EntryBody } from '../entries/index.ts';

/** A log that was held against a prediction. */
export type Held = Extract<EntryBody, { kind: 'heldAgainst' }>;

/** How predictions came true. */
export interface PredictionScore {
  /** Logs that were held against one, and how many of them came as predicted: no figure elsewhere. */
  readonly logs: number;
  readonly came: number;
  /** All their figures, and how many lay inside of their range: four of five, where the ranges are honest. */
  readonly figures: number;
  readonly inside: number;
}

/** Counts logs that were held against predictions, the latest word on each log. */
export function predictionScore(held: readonly Held[]): PredictionScore {
  const latest = [...new Map(held.map((one) => [one.log, one])).values()];
  const stands = latest.map(({ figures }) => figures.map(standsOf));
  const all = stands.flat();
  return {
    logs: latest.length,
    came: stands.filter((figures) => !figures.includes('off')).length,
    figures: all.length,
    inside: all.filter((one) => one === 'inside').length,
  };
}

/** The same in words; empty where nothing was held against anything yet. */
export function scoreWords({ logs, came, figures, inside }: PredictionScore): string {
  if (logs === 0) return '';
  const of = logs === 1 ? 'One log was' : `${logs} logs were`;
  return `${of} held against what was predicted: ${came === logs ? (logs === 1 ? 'it came' : 'all came') : `${came} came`} as predicted. ${inside} of ${figures} figures lay inside of their range (${Math.round((100 * inside) / Math.max(1, figures))} %; 80 % is what a range promises).`;
}
