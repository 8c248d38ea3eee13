import { describe, expect, test } from '@jest/globals';
import { plan, valuesOf } from '../plan/index.ts';
import type { CondenserRun } from '../../machines/condenser/index.ts';
import { fansOf } from '../../machines/condenser/index.ts';
import { twoFanCondenser } from '../../../testing/condensers.ts';
import { plainUnit } from '../../../testing/units.ts';
import { causeDays, type CauseDay } from './profiles.ts';
import { causesFor } from './causesFor.ts';
import { fanCauseDays } from './fanDays.ts';
import { rankCauses, rankChecks, type Profile } from './rank.ts';
import { signsFor } from './signs.ts';
import type { CheckId } from './checks.ts';

const condenser = plainUnit('condenserFans', { probes: ['liquid', 'outdoor'], refrigerant: 'R-404A' });
const run: CondenserRun = {
  config: fansOf(valuesOf(plan(condenser)))!,
  plant: twoFanCondenser,
  outdoor: { low: 5, high: 14 },
  hours: 24,
  warmUpHours: 2,
};
const meter = plainUnit('heatMeter', { probes: ['supply', 'return'] });

const profilesOf = (unit: typeof meter, days: readonly CauseDay[]): readonly Profile[] =>
  days.map((day) => ({
    cause: causesFor(unit).find((c) => c.id === day.id)!,
    simulated: day.simulated && new Set(day.simulated),
  }));

/** Somebody who knows the cause answers each check as the cause does; how many it took, and where the cause stands then. */
function find(
  profiles: readonly Profile[],
  truth: Profile,
): { readonly asked: number; readonly place: number } {
  const told = Object.entries(truth.cause.shows ?? {}).flatMap(([sign, odds]) => (odds > 0.6 ? [sign] : []));
  const signs = Object.fromEntries([...(truth.simulated ?? []), ...told].map((sign) => [sign, true]));
  const checks: Partial<Record<CheckId, boolean>> = {};
  for (let asked = 0; ; asked += 1) {
    const ranked = rankCauses(profiles, { signs, checks, logged: null });
    const place = ranked.findIndex((r) => r.cause.id === truth.cause.id);
    const next = rankChecks(ranked, checks)[0];
    if ((place === 0 && ranked[0]!.odds > 0.7) || !next || asked >= 9) return { asked, place };
    checks[next.id] = (truth.cause.checks[next.id] ?? 0) > 0.5;
  }
}

describe('fans of a condenser', () => {
  const days = fanCauseDays(run)!;
  const shows = (id: string) => days.find((d) => d.id === id)!.simulated!;

  // Oracle: heat = conductance × (condensing − outdoors): less coil, air or fans condense warmer; a probe that reads cold slows the fans, one that reads warm drives them.
  test.each([
    ['fansSoiled', 'pressureTrips'],
    ['fansOneDead', 'pressureTrips'],
    ['fansProbeLoose', 'pressureTrips'],
    ['fansProbeWarm', 'valveStarves'],
    ['fansSetLow', 'valveStarves'],
    ['fansBandNarrow', 'fansHunt'],
    ['fansProbeDead', 'fansFlatOut'],
    ['fansChainOpen', 'fansStand'],
    ['fansNoContact', 'fansStand'],
  ])('%s shows %s', (id, sign) => expect(shows(id)).toContain(sign));

  test('a soiled coil does not starve the valve, and what cannot be run says so', () => {
    expect(shows('fansSoiled')).not.toContain('valveStarves');
    expect(days.find((d) => d.id === 'fansDriveDeaf')!.simulated).toBeNull();
    expect(fanCauseDays(run, () => false)).toBeNull();
  });

  test('every cause is found, most at once, by answering what is asked', () => {
    const profiles = profilesOf(condenser, days);
    const found = profiles.map((truth) => ({ id: truth.cause.id, ...find(profiles, truth) }));
    expect(found.filter((f) => f.place > 1)).toEqual([]);
    expect(found.reduce((sum, f) => sum + f.asked, 0) / found.length).toBeLessThan(5);
  });
});

describe('a heat meter', () => {
  const days = causeDays(meter, {});
  if (days === null || typeof days === 'string') throw new Error(String(days));

  test('every cause is found by what it shows and a few checks', () => {
    const profiles = profilesOf(meter, days);
    for (const truth of profiles) {
      const { place, asked } = find(profiles, truth);
      expect([truth.cause.id, place]).toEqual([truth.cause.id, 0]);
      expect(asked).toBeLessThanOrEqual(5);
    }
  });
});

test('each kind of unit is asked for its own signs, and its causes show no others', () => {
  expect(signsFor('walkInFreezer')).toContain('iceOnCoil');
  expect(signsFor('condenserFans')).not.toContain('iceOnCoil');
  for (const unit of [condenser, meter, plainUnit('walkInFreezer')])
    for (const cause of causesFor(unit))
      for (const sign of Object.keys(cause.shows ?? {}))
        expect([cause.id, signsFor(unit.application).includes(sign as 'boxWarm')]).toEqual([cause.id, true]);
});
