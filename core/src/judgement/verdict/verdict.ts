import { bySeverity, check, remedyFor, type Finding, type Remedy } from '../checks/index.ts';
import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import type { Circuit } from '../../wiring/circuit/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { dayFigures, type DayFigures } from './dayFigures.ts';
import { foundIn, mendedFindings, type JudgedFinding } from './runFindings.ts';
import { onCircuit, onControl } from './onControl.ts';
import { priceOfStopping } from './probeFailure.ts';
import { lookAt } from './seen.ts';
import { unitDay } from './unitDay.ts';

/** What is judged: a unit and the values in effect on it, or to be written into a control; the circuit it hangs in. */
export interface JudgementInput {
  readonly unit: UnitDescription;
  readonly values: SettingValues;
  readonly controller?: ControllerDefinition | null;
  /** The values were read back from the control already: they are judged as they are, the control only says what a remedy may set. */
  readonly inEffect?: boolean;
  readonly circuit?: Circuit | null;
  readonly display?: TemperatureUnit;
  /** What stood in the old control, where it is known. */
  readonly found?: SettingValues | null;
  /** Without remedies the verdict takes one day's run: for a first answer. True where absent. */
  readonly remedies?: boolean;
}

/** Everything said against the values, gravest first, and the figures of the day it was said from; `day` is null where the machine cannot be run, and `problem` says why. */
export interface Verdict {
  readonly findings: readonly JudgedFinding[];
  readonly day: DayFigures | null;
  readonly problem: string | null;
}

/**
 * The one judgement: `judgement(unit, values in effect, controller, circuit)`. With a control the values are those that it will hold. By the rules of the trade and by the unit's own simulated day (one day after a day to settle, every second), each finding with what mends it. Where
 * nothing can be run the rules stand alone.
 */
export function judgement({
  unit,
  values: wanted,
  controller = null,
  inEffect = false,
  circuit = null,
  display = 'degC',
  found = null,
  remedies = true,
}: JudgementInput): Verdict {
  const held = controller && !inEffect ? onControl(wanted, unit, controller) : null;
  const values = held?.values ?? wanted;
  const beside = [...(held?.findings ?? []), ...(circuit ? onCircuit(circuit) : [])];
  const hold = (set: SettingValues) => (controller ? onControl(set, unit, controller).values : set);
  const rules = check(values, unit, found).map((finding): JudgedFinding => ({
    ...finding,
    by: 'rule',
    remedy: remedies ? heldRemedy(remedyFor(finding, values, unit), finding, values, unit, hold) : null,
  }));
  const day = unitDay(unit, values);
  if (typeof day === 'string')
    return { findings: [...rules, ...beside].sort(bySeverity), day: null, problem: day };
  const seen = lookAt(unit, values, day, display);
  const run = [
    ...(remedies ? mendedFindings({ unit, values, day, seen, display, held: hold }) : foundIn(seen)),
    ...priceOfStopping(unit, values, display),
  ];
  return { findings: [...rules, ...run, ...beside].sort(bySeverity), day: dayFigures(seen), problem: null };
}

/** A remedy of a rule, where the control holds it: read back from its codes the finding is gone. */
function heldRemedy(
  remedy: Remedy | null,
  finding: Finding,
  values: SettingValues,
  unit: UnitDescription,
  hold: (set: SettingValues) => SettingValues,
): Remedy | null {
  if (!remedy) return null;
  const after = check(hold({ ...values, ...remedy.values }), unit);
  const still = after.some((f) => f.code === finding.code && f.settings.join() === finding.settings.join());
  return still ? null : remedy;
}
