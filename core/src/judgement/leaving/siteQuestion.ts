import { controlConfig, bandOf } from '../../machines/box/index.ts';
import type { VisitQuestion } from './proof.ts';

/** What the display must show at a time after one has left, °C. */
export interface SiteQuestion {
  /** s from now. */
  readonly at: number;
  readonly least: number;
  readonly most: number;
  /** Tests that its answer tells something of. */
  readonly tests: readonly string[];
}

/** People on site are asked no sooner than this after one has gone, s, and at whole five minutes from now. */
const SOONEST = 600;
const STEP = 300;
/** The air swings beyond its band by about this, with whole degrees on the display, K (common practice). */
export const BEYOND_K = 1;
/** What a display can tell. */
const told = ['regulation.pullDown', 'regulation.cutOut', 'regulation.cutIn'];

/**
 * The time from which on even a slow box regulates, and between what its display then stands; null where nothing of it is open, the forecast does not get there, or the unit is no box.
 */
export function siteQuestion(
  { values, forecast, air }: Pick<VisitQuestion, 'values' | 'forecast' | 'air'>,
  open: ReadonlySet<string>,
  leaves: number,
  stalled: number,
): SiteQuestion | null {
  const tests = told.filter((id) => open.has(id));
  const config = controlConfig(values);
  if (tests.length === 0 || !forecast || typeof config === 'string') return null;
  const late = air.regulates ? 0 : forecast.cutOut?.late;
  if (late === undefined) return null;
  const there = late + stalled;
  const { cutOut, cutIn } = bandOf(config.stage, config.setpoint);
  const at = Math.ceil(Math.max(there, leaves + SOONEST) / STEP) * STEP;
  return { at, least: Math.min(cutOut, cutIn) - BEYOND_K, most: Math.max(cutOut, cutIn) + BEYOND_K, tests };
}
