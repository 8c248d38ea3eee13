import { isFileProblem, type FileProblem } from '../../foundation/files/index.ts';
import {
  dimensionOf,
  parseQuantity,
  quantity,
  valueIn,
  type Quantity,
} from '../../foundation/quantities/index.ts';
import { findSetting, validateSet, type SettingId } from '../../foundation/settings/index.ts';
import type { Figures } from './figures.ts';
import { judgeRun } from './judge.ts';
import { readScenario } from './scenario.ts';
import { simulate } from './simulate.ts';

/** A setting and the values it is to take. */
export interface Vary {
  readonly setting: SettingId;
  readonly values: readonly Quantity[];
}

/** One variant of a sweep. */
export interface SweepRow {
  readonly value: Quantity;
  readonly metrics: Figures;
  /** What speaks against it, in sentences; empty where it is sound. */
  readonly against: readonly string[];
}

export interface Swept {
  readonly setting: SettingId;
  readonly rows: readonly SweepRow[];
  readonly advised: { readonly value: Quantity; readonly reason: string };
}

const MOST = 200;

/** Reads "defrost.endTemperature=4C..16C/2K": from, to and step, each with its unit. A sentence where it is none. */
export function readVary(text: string): Vary | string {
  const found = /^([\w.]+)=(.+?)\.\.(.+?)\/(.+)$/.exec(text.trim());
  if (!found) return `${text}: expected ID=a..b/step, such as defrost.endTemperature=4C..16C/2K`;
  const [, id = '', a = '', b = '', by = ''] = found;
  const setting = findSetting(id);
  if (!setting) return `${id} is not a known setting`;
  const [from, to, step] = [parseQuantity(a), parseQuantity(b), parseQuantity(by)];
  if (!from.ok || !to.ok || !step.ok)
    return `${text}: expected three quantities with units, such as 4C..16C/2K`;
  const unit = from.value.unit;
  const stepUnit = unit === 'degC' ? 'K' : unit === 'degF' ? 'deltaF' : unit;
  if (
    dimensionOf(to.value.unit) !== dimensionOf(unit) ||
    dimensionOf(step.value.unit) !== dimensionOf(stepUnit)
  )
    return `${text}: expected both ends in one dimension, and a step that fits them`;
  const first = from.value.value;
  const last = valueIn(to.value, unit);
  const size = valueIn(step.value, stepUnit);
  if (!(size > 0) || last < first) return `${text}: expected a step above 0 and ends in order`;
  const count = Math.floor((last - first) / size + 1e-9) + 1;
  if (count > MOST) return `${text}: ${count} variants; expected at most ${MOST}`;
  const values = Array.from({ length: count }, (_, i) =>
    quantity(Math.round((first + i * size) * 1e6) / 1e6, unit),
  );
  const problem = validateSet({ [setting.id]: values[0] })[0];
  return problem ? `${id}: ${problem.message}` : { setting: setting.id, values };
}

/**
 * Runs a scenario once for each value and advises one: the least energy of those that keep the goods, leave no ice, call no alarm and do not
 * start too often; where none does, the one with least against it. `progress` is told the share done; false stops it, and null comes back.
 */
export function sweep(
  data: Readonly<Record<string, unknown>>,
  { setting, values }: Vary,
  progress: (share: number) => boolean = () => true,
): Swept | FileProblem | null {
  const rows: SweepRow[] = [];
  for (const [i, value] of values.entries()) {
    if (!progress(i / values.length)) return null;
    const settings = { ...(data['settings'] as object), [setting]: value };
    const scenario = readScenario({ ...data, settings });
    if (isFileProblem(scenario)) return scenario;
    const metrics = simulate(scenario)!.figures;
    rows.push({ value, metrics, against: judgeRun(metrics, scenario.storage) });
  }
  return { setting, rows, advised: advise(rows) };
}

function advise(rows: readonly SweepRow[]): Swept['advised'] {
  const sound = rows.filter((row) => row.against.length === 0);
  if (sound.length > 0) {
    const best = sound.reduce((one, next) =>
      next.metrics.kWhPerDay < one.metrics.kWhPerDay - 1e-6 ? next : one,
    );
    return {
      value: best.value,
      reason: `${best.metrics.kWhPerDay.toFixed(1)} kWh a day, the least of the ${sound.length} of ${rows.length} that keep the product, leave no ice and call no alarm`,
    };
  }
  const least = rows.reduce((one, next) => (next.against.length < one.against.length ? next : one));
  return {
    value: least.value,
    reason: `none is sound; this one has least against it: ${least.against.join('; ')}`,
  };
}
