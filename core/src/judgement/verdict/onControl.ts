import {
  settingsOfCodes,
  type CodeValue,
  type ControllerDefinition,
} from '../../controllers/definitions/index.ts';
import { withImplied, withoutUnsaid } from '../../controllers/builtIn/index.ts';
import { encode, isDangerousLoss } from '../../controllers/translate/index.ts';
import { settingOf, type SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { wireReport } from '../../wiring/meter/index.ts';
import type { Circuit } from '../../wiring/circuit/index.ts';
import { asOneRelayFans } from '../condenserFans/index.ts';
import type { JudgedFinding } from './runFindings.ts';

/** Values as a control will really hold them, rounding, limits and built-in facts and all, and what is dangerous to lose. */
export interface OnControl {
  readonly values: SettingValues;
  readonly findings: readonly JudgedFinding[];
}

/** Writes values in a control's own codes and reads back what will be in effect on it. */
export function onControl(
  values: SettingValues,
  unit: UnitDescription,
  definition: ControllerDefinition,
): OnControl {
  const target = withImplied(definition, { 'defrost.method': unit.defrostMethod });
  const { rows, lost, display } = encode(asOneRelayFans(values, unit, target), target);
  const codes = new Map(
    rows.flatMap(({ code, value }) => (code === null ? [] : [[code, value as CodeValue] as const])),
  );
  const { lost: grave } = withoutUnsaid(
    lost.filter(({ setting }) => isDangerousLoss(setting)),
    definition,
  );
  return {
    values: settingsOfCodes(target, codes, display),
    findings: grave.map(({ setting, reason }) => ({
      code: 'notHeldByControl',
      severity: 'warning',
      by: 'rule',
      settings: [setting],
      message: `${settingOf(setting).label}: ${reason}. This control does not hold it.`,
      numbers: {},
      remedy: null,
    })),
  };
}

/** What a circuit says in any of its states, as findings; consequences of another are notes. */
export function onCircuit(circuit: Circuit): readonly JudgedFinding[] {
  const report = wireReport(circuit, null);
  if ('unsettled' in report)
    return [
      {
        code: 'circuitUnsettled',
        severity: 'error',
        by: 'rule',
        settings: [],
        message: `State ${report.state}: ${report.parts.join(' and ')} switch each other without end.`,
        numbers: {},
        remedy: null,
      },
    ];
  return report.findings.map(({ code, severity, message, numbers }) => ({
    code,
    severity,
    by: 'rule',
    settings: [],
    message,
    numbers,
    remedy: null,
  }));
}
