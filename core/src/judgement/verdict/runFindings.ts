import type { Finding } from '../checks/index.ts';
import { boundChecks, type SeenDay } from './seen.ts';
import { mend, type AnyRemedy, type Ill } from './mend.ts';

/** A finding with who made it, what takes it away where something does, and the cause it follows from. */
export interface JudgedFinding extends Finding {
  /** A rule of the trade, or a simulated run. */
  readonly by: 'rule' | 'run';
  readonly remedy: AnyRemedy | null;
  /** The finding that this one is a consequence of: mended with it. */
  readonly consequenceOf?: string;
}

/** What a finding can bring about. Which of them it does is told by the remedy's own run. */
const canCause: Readonly<Record<string, readonly string[]>> = {
  iceGrows: ['goodsTooWarm', 'runsAllDay', 'nuisanceAlarm', 'iceLeft', 'drainTooShort'],
  goodsTooWarm: ['nuisanceAlarm', 'runsAllDay'],
  runsAllDay: ['nuisanceAlarm'],
  fansHunt: ['fansStartOften', 'condenserAlarmNags'],
  fansStartOften: ['condenserAlarmNags'],
};

/** What a day says, without remedies: told at once. */
export const foundIn = (seen: SeenDay): readonly JudgedFinding[] =>
  boundChecks(seen).flatMap(({ code, found }): readonly JudgedFinding[] =>
    found ? [{ code, ...found, by: 'run', remedy: null }] : [],
  );

/**
 * What a day says, each with a remedy that was run. What a graver finding brings about, and what its remedy takes away with it, is told as a note that names its cause.
 */
export function mendedFindings(ill: Ill): readonly JudgedFinding[] {
  const told = foundIn(ill.seen);
  const follows = new Map<string, string>();
  const remedies = new Map<string, AnyRemedy>();
  for (const { code } of told) {
    if (follows.has(code)) continue;
    const mended = mend(code, ill);
    if (!mended) continue;
    remedies.set(code, mended.remedy);
    for (const other of canCause[code] ?? [])
      if (told.some((f) => f.code === other) && !mended.left.has(other) && !remedies.has(other))
        follows.set(other, code);
  }
  return told.map((finding): JudgedFinding => {
    const cause = follows.get(finding.code);
    return cause === undefined
      ? { ...finding, remedy: remedies.get(finding.code) ?? null }
      : { ...finding, severity: 'note', consequenceOf: cause };
  });
}
