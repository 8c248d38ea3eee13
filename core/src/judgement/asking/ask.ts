import type { CodeValue } from '../../controllers/definitions/index.ts';
import { runTrial, seen, type Sight, type Trial } from './bench.ts';
import { benchCodes } from './benchCodes.ts';
import type { Doubt } from './doubt.ts';
import { firstDifference, looksAlike, type Difference, type Look } from './tellApart.ts';
import { configsFor, trialsFor } from './trials.ts';

/** What a trial shows under some of the meanings. */
export interface Outcome {
  /** Places of the meanings among those of the doubt. */
  readonly meanings: readonly number[];
  readonly sight: Sight;
  /** What comes after it, where it leaves more than one. */
  readonly then: Asking | null;
}

/** A trial with what it shows under each meaning, and when that is certain. */
export interface Asking {
  readonly trial: Trial;
  /** When the last of it is certain, s after the power. */
  readonly at: number;
  /** By what the meanings are told apart. */
  readonly by: readonly Difference['by'][];
  readonly outcomes: readonly Outcome[];
  /** Hands and waiting, s, whatever it turns out to be. */
  readonly seconds: number;
}

/** How a doubt is settled by the control itself. */
export interface AskPlan {
  /** Codes that are keyed before anything is tried. */
  readonly first: readonly { readonly code: string; readonly value: CodeValue }[];
  /** Null where nothing that hands, water and a stopwatch can do tells the meanings apart within the hours that are looked at. */
  readonly asking: Asking | null;
}

/** A code is keyed, and a probe moved, in about this, s (ours). */
const KEY_SECONDS = 45;
const ACT_SECONDS = 20;

/** What a trial costs until something of it is certain, s. */
export const trialSeconds = ({ keyed, acts }: Trial, at: number): number =>
  KEY_SECONDS * keyed.length + ACT_SECONDS * Math.max(0, acts.length - 1) + at;

/** How long is looked at, s: the longer only where the shorter tells nothing. */
const tiers = [
  { seconds: 120, isLong: false },
  { seconds: 300, isLong: false },
  { seconds: 1500, isLong: true },
  { seconds: 4500, isLong: true },
  { seconds: 16_000, isLong: true },
] as const;

/** What counts in hours is looked at for hours. */
const isSlow = ({ setting, meanings }: Doubt): boolean =>
  setting === 'defrost.interval' || setting === 'defrost.initiation' || meanings.some(({ id }) => id === 'h');

/** The shortest way to have the control tell which of the meanings of a doubt it has. Takes some tenths of a second, some seconds where hours have to be looked at. */
export function askController(doubt: Doubt, progress: (share: number) => void = () => undefined): AskPlan {
  const { first, standing } = benchCodes(doubt.meanings[0]!.definition);
  const all = doubt.meanings.map((_, i) => i);
  const looks = isSlow(doubt) ? tiers : tiers.slice(0, 4);
  for (const [i, { seconds, isLong }] of looks.entries()) {
    const told = (share: number) => progress((i + share) / looks.length);
    const bench = new Bench(doubt, standing, trialsFor(doubt, standing, isLong), seconds, told);
    const asking = bench.best(all);
    if (asking) return { first, asking };
  }
  return { first, asking: null };
}

/** Progress is told each so many trials. */
const TOLD = 50;

/** What a trial shows under each meaning, s looked at. */
interface Shown {
  readonly trial: Trial;
  readonly sights: readonly Sight[];
  readonly look: Look;
}

/** What trials show within some time, and the best way through them. */
class Bench {
  private readonly doubt: Doubt;
  private readonly standing: ReturnType<typeof benchCodes>['standing'];
  private readonly shown: readonly Shown[];

  constructor(
    doubt: Doubt,
    standing: ReturnType<typeof benchCodes>['standing'],
    trials: readonly Trial[],
    seconds: number,
    progress: (share: number) => void,
  ) {
    this.doubt = doubt;
    this.standing = standing;
    this.shown = this.tried(trials, seconds, progress);
  }

  /**
   * Runs the trials, those that cost hands the least first. Once one tells all meanings apart, what costs as much before anything is seen is not run at all, and nothing is looked at for longer than could still be sooner.
   */
  private tried(
    trials: readonly Trial[],
    seconds: number,
    progress: (share: number) => void,
  ): readonly Shown[] {
    const all = this.doubt.meanings.map((_, i) => i);
    const by = watched(this.doubt);
    const made = new Map<Trial['keyed'], ReturnType<typeof configsFor>>();
    const shown: Shown[] = [];
    let bound = Infinity;
    const inOrder = trials
      .map((trial) => ({ trial, hands: trialSeconds(trial, 0) }))
      .toSorted((a, b) => a.hands - b.hands);
    for (const [i, { trial, hands }] of inOrder.entries()) {
      if (i % TOLD === 0) progress(i / inOrder.length);
      if (hands >= bound) break;
      if (!made.has(trial.keyed)) made.set(trial.keyed, configsFor(this.doubt, this.standing, trial));
      const configs = made.get(trial.keyed) ?? null;
      if (!configs) continue;
      const until = Math.min(seconds, Math.ceil(bound - hands));
      const sights = configs.map((config) => runTrial(config, trial, lookUntil(until)));
      const one: Shown = { trial, sights, look: { by, until } };
      shown.push(one);
      const parted = partsOf(all, one);
      if (parted?.parts.length !== all.length) continue;
      const cost = hands + parted.at;
      if (cost < bound && this.isSure(one, parted)) bound = cost;
    }
    return shown;
  }

  /** The trial after which, with what may follow, all of some meanings are told apart soonest at the worst. */
  best(meanings: readonly number[]): Asking | null {
    const tried = this.shown
      .flatMap((one) => {
        const parted = partsOf(meanings, one);
        return parted ? [{ one, parted, cost: trialSeconds(one.trial, parted.at) }] : [];
      })
      .toSorted((a, b) => a.cost - b.cost);
    let best: Asking | null = null;
    for (const { one, parted, cost } of tried) {
      if (best && cost >= best.seconds) break;
      if (!this.isSure(one, parted)) continue;
      const outcomes: Outcome[] = [];
      let seconds = cost;
      for (const part of parted.parts) {
        const then: Asking | null = part.length > 1 ? this.best(part) : null;
        if (part.length > 1 && !then) break;
        outcomes.push({ meanings: part, sight: one.sights[part[0]!]!, then });
        seconds = Math.max(seconds, cost + (then?.seconds ?? 0));
      }
      if (outcomes.length === parted.parts.length && (!best || seconds < best.seconds))
        best = { trial: one.trial, at: parted.at, by: parted.by, outcomes, seconds };
    }
    return best;
  }

  /** Whether a bath that is colder or warmer than it should be leads to no other answer. */
  private isSure({ trial, sights }: Shown, { at, by, parts }: Parted): boolean {
    const configs = configsFor(this.doubt, this.standing, trial)!;
    const look: Look = { by, until: lookUntil(at) };
    return [-1, 1].every((stray) =>
      parts.every((part) =>
        part.every((meaning) => {
          const off = runTrial(configs[meaning]!, trial, look.until, stray);
          return parts.every((other) => (other === part) === likePart(off, sights, other, look));
        }),
      ),
    );
  }
}

/** A person goes on looking for a while after it is certain, s and share of the time. */
export const lookUntil = (at: number): number => Math.ceil(at * 1.1 + 10);

/** What is watched: an alarm only where it is what is asked about, since it comes and goes with every bath; that of the door or a contact has a code of its own. */
const watched = ({ setting }: Doubt): readonly Difference['by'][] => [
  'reading',
  ...seen.filter((what) => what !== 'alarm' || (setting?.startsWith('alarms.') ?? false)),
];

const likePart = (off: Sight, sights: readonly Sight[], part: readonly number[], look: Look): boolean =>
  part.some((meaning) => looksAlike(off, sights[meaning]!, look));

/** Meanings that a trial tells apart, in groups that it does not, by what, and when that is certain. */
interface Parted {
  readonly at: number;
  readonly by: readonly Difference['by'][];
  readonly parts: readonly (readonly number[])[];
}

/** How a trial parts some meanings; null where it tells nothing. */
function partsOf(
  meanings: readonly number[],
  { sights, look }: Pick<Shown, 'sights' | 'look'>,
): Parted | null {
  let at = 0;
  const by = new Set<Difference['by']>();
  const parts: number[][] = [];
  for (const meaning of meanings) {
    const alike = parts.filter((part) => part.some((other) => !differ(meaning, other)));
    // What looks like two that look different is told from neither.
    const merged = [...alike.flat(), meaning];
    for (const part of alike) parts.splice(parts.indexOf(part), 1);
    parts.push(merged);
  }
  if (parts.length < 2) return null;
  return { at, by: [...by], parts };

  function differ(a: number, b: number): boolean {
    const found = firstDifference(sights[a]!, sights[b]!, look);
    if (!found) return false;
    at = Math.max(at, found.at);
    by.add(found.by);
    return true;
  }
}

/** Which outcome of a trial somebody has seen; null where it is none of them. */
export function outcomeSeen(asking: Asking, sight: Sight): Outcome | null {
  const look = { by: asking.by, until: lookUntil(asking.at) };
  return asking.outcomes.find((outcome) => looksAlike(outcome.sight, sight, look)) ?? null;
}
