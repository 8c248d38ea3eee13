import type { UnitDescription } from '../../../foundation/unit/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';
import { engineOf } from '../../../machines/engine/index.ts';
import { UnitRun } from '../../../machines/simulation/index.ts';
import { unitScenario } from '../../tuning/index.ts';

/** What a run mode does with a loaded body over a day’s round. °C, hours. */
export interface EngineRun {
  readonly engineHours: number;
  readonly starts: number;
  readonly air: { readonly min: number; readonly max: number };
  readonly product: { readonly min: number; readonly max: number };
  /** Hours with the fan off: the air stands, what breathes warms itself. */
  readonly stillHours: number;
}

/** The round begins at six in the morning, s. */
const OPENS = 6 * 3600;

interface Span {
  min: number;
  max: number;
}
const unseen = (): Span => ({ min: Infinity, max: -Infinity });
const see = (span: Span, value: number) => {
  span.min = Math.min(span.min, value);
  span.max = Math.max(span.max, value);
};

/**
 * A transport unit's own run over a round of so many hours, from six in the morning, loaded at set point: the same engine, body, doors and defrosts as its forecast. A
 * sentence where the values run no engine.
 */
export function engineRun(unit: UnitDescription, values: SettingValues, hours: number): EngineRun | string {
  if (unit.application !== 'transportUnit') return 'An engine runs in a transport unit only.';
  if (values['transport.runMode'] === undefined) return 'The run mode is not set: continuous or start-stop.';
  const engine = engineOf(values);
  if (typeof engine === 'string') return engine;
  const scenario = unitScenario(unit, values, { hours, warmUpHours: 0 });
  if (typeof scenario === 'string') return scenario;
  const run = new UnitRun({ ...scenario, startOfDay: OPENS, startAt: engine.setpoint });
  run.beginCount();
  const { box, drive } = run.standing;
  const [air, product] = [unseen(), unseen()];
  let [running, still] = [0, 0];
  for (let second = 0; second < scenario.seconds; second += 1) {
    run.second(second);
    run.advance();
    if (run.standing.engine!.engine) running += 1;
    if (!drive.fan) still += 1;
    see(air, box.air);
    see(product, box.productFast);
  }
  const starts = run.events.filter(({ kind, value }) => kind === 'compressor' && value === true).length;
  return { engineHours: running / 3600, stillHours: still / 3600, starts, air, product };
}
