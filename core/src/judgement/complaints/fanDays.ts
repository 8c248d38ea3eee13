import { huntsAt } from '../condenserFans/index.ts';
import { runCondenser, type CondenserFigures, type CondenserRun } from '../../machines/condenser/index.ts';
import { fanCauses } from './fanCauses.ts';
import type { CauseDay } from './profiles.ts';
import type { SignId } from './signs.ts';

/** A day on which fans are short of air and one on which they have too much, °C. */
const WARM = { low: 20, high: 32 } as const;
const COLD = { low: -2, high: 7 } as const;

/** What people notice: liquid where the hot alarm or, without one, a cut-out lies; so much more output; so many minutes without liquid; fans that hardly ever run. */
const TRIPS_AT = 50;
const NOTICED_K = 2;
const FLAT_OUT = 60;
const MORE_OUTPUT = 20;
const STARVED_MIN = 20;
const HARDLY = 0.05;
const MORE_TURNS = 1.5;

interface FanDays {
  readonly warm: CondenserFigures;
  readonly cold: CondenserFigures;
}

/**
 * A warm and a cold day of each cause on this condenser beside its own two days. `progress` is told the share done; false ends it: then null.
 */
export function fanCauseDays(
  run: CondenserRun,
  progress: (share: number) => boolean = () => true,
): readonly CauseDay[] | null {
  const sound = daysOf(run);
  const limit = run.config.alarms.high ?? TRIPS_AT;
  const list = fanCauses.filter((cause) => cause.fitsRun?.(run) ?? true);
  const days: CauseDay[] = [];
  for (const [i, cause] of list.entries()) {
    const spoiled = cause.spoilRun?.(run) ?? null;
    const simulated =
      spoiled === null
        ? null
        : spoiled === run
          ? ownSigns(sound, limit)
          : signsBeside(daysOf(spoiled), sound, limit);
    days.push({ id: cause.id, simulated });
    if (!progress((i + 1) / list.length)) return null;
  }
  return days;
}

function daysOf(run: CondenserRun): FanDays {
  const day = (outdoor: CondenserRun['outdoor']) =>
    runCondenser({ ...run, outdoor, hours: 24, warmUpHours: 2 })!.figures;
  return { warm: day(WARM), cold: day(COLD) };
}

const stands = ({ warm }: FanDays) =>
  warm.compressorHours > 0 && Math.max(...warm.fanHours) < HARDLY * warm.compressorHours;

/** What the days of a sound condenser show already. */
function ownSigns(days: FanDays, limit: number): SignId[] {
  const signs: SignId[] = [];
  if (days.warm.liquid.max >= limit) signs.push('pressureTrips');
  if (huntsAt(days.cold) || huntsAt(days.warm)) signs.push('fansHunt');
  if (days.cold.meanPercent > FLAT_OUT) signs.push('fansFlatOut');
  if (stands(days)) signs.push('fansStand');
  if (days.cold.starvedMinutes > STARVED_MIN) signs.push('valveStarves');
  return signs;
}

/** What the days of a cause show more than the sound ones. */
function signsBeside(days: FanDays, sound: FanDays, limit: number): SignId[] {
  const own = new Set(ownSigns(days, limit));
  const { warm, cold } = days;
  const more: Readonly<Partial<Record<SignId, boolean>>> = {
    pressureTrips: warm.liquid.max > sound.warm.liquid.max + NOTICED_K,
    fansHunt:
      cold.turnsPerHour > MORE_TURNS * sound.cold.turnsPerHour ||
      warm.turnsPerHour > MORE_TURNS * sound.warm.turnsPerHour,
    fansFlatOut: cold.meanPercent > sound.cold.meanPercent + MORE_OUTPUT,
    fansStand: !stands(sound),
    valveStarves: cold.starvedMinutes > sound.cold.starvedMinutes + STARVED_MIN,
  };
  return [...own].filter((sign) => more[sign]);
}
