import type { LogFindingCode } from '../../logs/against/index.ts';
import { checkIds, type CheckId } from './checks.ts';
import type { Cause } from './cause.ts';
import { signIds, type Answers, type SignId } from './signs.ts';

/** A cause with the signs it would show, by simulation or by practice. */
export interface Profile {
  readonly cause: Cause;
  /** Signs of its simulated day; null where it was not simulated. */
  readonly simulated: ReadonlySet<SignId> | null;
}

export interface Evidence {
  readonly signs: Answers<SignId>;
  readonly checks: Answers<CheckId>;
  /** What a log said, or null where there is none. */
  readonly logged: readonly LogFindingCode[] | null;
  /** What the unit's own box, learned from a log, says of causes: how many times likelier the log is with each than without it. */
  readonly learned?: Readonly<Record<string, number>>;
}

/** A cause weighed. */
export interface RankedCause {
  readonly cause: Cause;
  /** Odds among the causes known here, 0 to 1. */
  readonly odds: number;
  readonly because: readonly SignId[];
  readonly against: readonly SignId[];
  readonly fromSimulation: boolean;
  readonly logAgrees: readonly LogFindingCode[];
}

/** A check with what its answer would tell, bits. */
export interface RankedCheck {
  readonly id: CheckId;
  readonly bits: number;
}

/** A sign that a simulated day shows is seen by people mostly; one that it does not show comes from elsewhere sometimes. */
const SHOWN = 0.85;
const NOT_SHOWN = 0.08;
const UNRELATED_CHECK = 0.06;
/** From these odds on a sign speaks for a cause. */
const LIKELY = 0.25;
/** A log speaks for a cause so much. */
const LOG_SAYS = 8;
const LOG_SILENT = 0.7;

/** Odds that a cause shows a sign. */
export function oddsOfSign({ cause, simulated }: Profile, sign: SignId): number {
  const known = cause.shows?.[sign];
  const shown = simulated?.has(sign) ? SHOWN : NOT_SHOWN;
  return Math.max(known ?? 0, shown);
}

const oddsOfCheck = (cause: Cause, check: CheckId) => cause.checks[check] ?? UNRELATED_CHECK;

/** Ranks causes by how common they are, what they would show, what the log says and what the checks found. */
export function rankCauses(profiles: readonly Profile[], evidence: Evidence): readonly RankedCause[] {
  const weights = profiles.map((profile) => weigh(profile, evidence));
  const total = weights.reduce((sum, w) => sum + w, 0);
  return profiles
    .map((profile, i): RankedCause => ({
      cause: profile.cause,
      odds: total > 0 ? weights[i]! / total : 0,
      because: signIds.filter((sign) => evidence.signs[sign] === true && oddsOfSign(profile, sign) > LIKELY),
      against: signIds.filter((sign) => evidence.signs[sign] === true && oddsOfSign(profile, sign) <= LIKELY),
      fromSimulation: profile.simulated !== null,
      logAgrees: (evidence.logged ?? []).filter((code) => profile.cause.logged.includes(code)),
    }))
    .sort((a, b) => b.odds - a.odds);
}

function weigh(profile: Profile, { signs, checks, logged, learned = {} }: Evidence): number {
  let weight = profile.cause.share * (learned[profile.cause.id] ?? 1);
  for (const sign of signIds) {
    const seen = signs[sign];
    if (seen === undefined) continue;
    const odds = oddsOfSign(profile, sign);
    weight *= seen ? odds : 1 - odds;
  }
  for (const check of checkIds) {
    const answer = checks[check];
    if (answer === undefined) continue;
    const odds = oddsOfCheck(profile.cause, check);
    weight *= answer ? odds : 1 - odds;
  }
  if (logged !== null && profile.cause.logged.length > 0)
    weight *= logged.some((code) => profile.cause.logged.includes(code)) ? LOG_SAYS : LOG_SILENT;
  return weight;
}

/**
 * Checks not done yet by how much their answer is expected to narrow the causes: the entropy of the ranking less the expected entropy after it. Checks that tell
 * less than a twentieth of a bit are left out.
 */
export function rankChecks(ranked: readonly RankedCause[], done: Answers<CheckId>): readonly RankedCheck[] {
  const before = entropy(ranked.map((r) => r.odds));
  return checkIds
    .filter((id) => done[id] === undefined)
    .map((id) => {
      const yes = ranked.map((r) => r.odds * oddsOfCheck(r.cause, id));
      const no = ranked.map((r) => r.odds * (1 - oddsOfCheck(r.cause, id)));
      const pYes = sum(yes);
      const after = pYes * entropy(yes) + (1 - pYes) * entropy(no);
      return { id, bits: before - after };
    })
    .filter(({ bits }) => bits > 0.05)
    .sort((a, b) => b.bits - a.bits);
}

const sum = (numbers: readonly number[]) => numbers.reduce((total, n) => total + n, 0);

/** Entropy of weights, bits; they are brought to a sum of one. */
function entropy(weights: readonly number[]): number {
  const total = sum(weights);
  if (total <= 0) return 0;
  return -sum(weights.map((w) => (w > 0 ? (w / total) * Math.log2(w / total) : 0)));
}
