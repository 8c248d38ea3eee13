import { quantity } from '../../../foundation/quantities/index.ts';
import { simulate } from '../../../machines/simulation/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { unitScenario, type RunChoice } from '../../tuning/index.ts';
import {
  figure,
  shownCelsius,
  tryAll,
  type ToolInput,
  type ToolProgress,
  type ToolRow,
  type ToolTable,
} from '../report.ts';
import { followsAfter, readsOf } from './bottle.ts';
import { longestOutside } from './outside.ts';

/** Bottles that are sold for it, ml; 0 is a probe in the air. */
const bottles = [0, 5, 20, 60];
/** Seconds a sample stands for. */
const STEP = 60;

/**
 * A probe in the air against one in a bottle of glycol, on this unit's own days: what it reads there, and what the air does where that probe regulates. A sentence
 * where nothing can be run, null where it was stopped.
 */
export function bufferTable(
  { unit, values, display }: ToolInput,
  choice: RunChoice,
  progress: ToolProgress,
): ToolTable | string | null {
  const scenario = unitScenario(unit, values, choice);
  if (typeof scenario === 'string') return scenario;
  const air = simulate(scenario, { sampleEvery: STEP })!.series.map((s) => s.air);
  const range = (min: number, max: number) =>
    `${shownCelsius(min, display).replace(/ \S+$/, '')} to ${shownCelsius(max, display)}`;
  const rows = tryAll(
    bottles,
    (millilitres): ToolRow | string => {
      const seconds = followsAfter(millilitres);
      const reads = readsOf(air, STEP, seconds);
      const outside = longestOutside(reads, STEP, scenario.storage);
      const set: SettingValues =
        millilitres > 0 ? { ...values, 'probes.filterTime': quantity(seconds, 's') } : values;
      const regulated = unitScenario(unit, set, choice);
      if (typeof regulated === 'string') return regulated;
      const { figures } = simulate(regulated, { stride: 5 })!;
      return {
        id: String(millilitres),
        cells: [
          millilitres === 0 ? 'in the air' : `in ${millilitres} ml of glycol`,
          millilitres === 0 ? 'at once' : figure(seconds / 60, 'min', 0),
          range(Math.min(...reads), Math.max(...reads)),
          outside > 0 ? figure(outside / 60, 'min', 0) : 'never',
          range(figures.air.min, figures.air.max),
        ],
      };
    },
    progress,
  );
  if (rows === null || typeof rows === 'string') return rows;
  return {
    id: 'buffers',
    title: 'Probe in the air against a probe in a bottle',
    heads: ['Probe', 'Follows by 63 % after', 'Reads', 'Outside the limits on end', 'Air, if it regulates'],
    rows,
  };
}
