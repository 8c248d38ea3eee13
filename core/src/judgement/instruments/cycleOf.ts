import type { SettingValues } from '../../foundation/settings/index.ts';
import { bandOf, controlConfig } from '../../machines/box/index.ts';
import type { Cycle } from './cycle.ts';

/** Starts an hour below which nobody waits for a cycle. */
const LEAST_STARTS = 0.3;

/**
 * The cycle of a box under settings, with how often it starts and how much of it runs as a forecast or a log has it; null where it regulates nothing, heats, or hardly ever starts: then nobody knows where in it one stands.
 */
export function cycleOf(
  values: SettingValues,
  expected: { readonly startsPerHour: number; readonly dutyPercent: number } | null,
): Cycle | null {
  const config = controlConfig(values);
  if (typeof config === 'string' || config.stage.heat || !expected) return null;
  if (expected.startsPerHour < LEAST_STARTS) return null;
  const { cutOut, cutIn } = bandOf(config.stage, config.setpoint);
  if (cutIn <= cutOut) return null;
  return {
    low: cutOut,
    high: cutIn,
    period: 3600 / expected.startsPerHour,
    runShare: Math.min(0.9, Math.max(0.1, expected.dutyPercent / 100)),
  };
}
