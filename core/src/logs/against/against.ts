import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { analyse } from '../analysis/index.ts';
import { nothingKnown, type Analysis } from '../analysis/index.ts';
import type { Log } from '../reading/index.ts';
import { bandFindings, changeFindings, type Against } from './band.ts';
import { defrostFindings } from './defrosting.ts';
import type { LogFinding } from './finding.ts';
import { configOf, knownOf } from './known.ts';
import { runningFindings } from './running.ts';

/** A log analysed, with what does not agree with the settings and the likeliest why, gravest first. */
export interface Judged {
  readonly found: Analysis;
  readonly findings: readonly LogFinding[];
}

const grave = { error: 0, warning: 1, note: 2 };

/** Analyses a log and holds it against settings, where there are any. */
export function judgeLog(log: Log, settings: SettingValues | null, unit: TemperatureUnit = 'degC'): Judged {
  const found = analyse(log, settings ? knownOf(settings) : nothingKnown);
  const against: Against = { log, found, config: settings ? configOf(settings) : null, unit };
  const findings = [
    ...coarseFindings(found),
    ...changeFindings(against),
    ...bandFindings(against),
    ...runningFindings(against),
    ...defrostFindings(against),
    ...limitFindings(found),
  ];
  return { found, findings: findings.toSorted((a, b) => grave[a.severity] - grave[b.severity]) };
}

function coarseFindings(found: Analysis): readonly LogFinding[] {
  if (!found.tooCoarse) return [];
  return [
    {
      code: 'tooCoarse',
      severity: 'note',
      message: `Cut-in, cut-out and starts are not given: ${found.tooCoarse}.`,
      why: 'Log every minute for a day.',
      numbers: { minutesApart: found.step / 60 },
    },
  ];
}

function limitFindings(found: Analysis): readonly LogFinding[] {
  const [above, below] = [found.minutesAbove ?? 0, found.minutesBelow ?? 0];
  if (above + below === 0) return [];
  const parts = [
    above > 0 ? `${above.toFixed(0)} min above the high alarm limit` : '',
    below > 0 ? `${below.toFixed(0)} min below the low one` : '',
  ].filter(Boolean);
  return [
    {
      code: 'outsideLimits',
      severity: 'warning',
      message: `${parts.join(', ')}.`,
      why: 'Whether product that was out of range may be kept is for its owner and the authority to decide.',
      numbers: { minutesAbove: above, minutesBelow: below },
    },
  ];
}
