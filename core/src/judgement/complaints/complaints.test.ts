import { inWords } from '../../foundation/sentences/index.ts';
import { describe, expect, test } from '@jest/globals';
import { plan } from '../plan/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { allCauses, causesFor } from './causesFor.ts';
import { causeDays } from './profiles.ts';
import { checkIds, checkWords, type CheckId } from './checks.ts';
import { rankCauses, rankChecks, type Evidence, type Profile } from './rank.ts';
import { signIds, signNames } from './signs.ts';

const freezer = plainUnit('walkInFreezer');
const planned = Object.fromEntries(plan(freezer).settings.map((s) => [s.setting, s.value])) as SettingValues;
const days = causeDays(freezer, planned);
if (days === null || typeof days === 'string') throw new Error(String(days));
const profiles: readonly Profile[] = days.map((day) => ({
  cause: allCauses.find((c) => c.id === day.id)!,
  simulated: day.simulated && new Set(day.simulated),
}));
const nothing: Evidence = { signs: {}, checks: {}, logged: null };

describe('simulated days of a freezer', () => {
  const shows = (id: string) => days.find((d) => d.id === id)!.simulated!;
  // Oracle: what the words mean; the day itself is checked in plant and simulation.
  test.each([
    ['setPointHigh', 'boxWarm'],
    ['setPointLow', 'boxCold'],
    ['probeCold', 'boxWarm'],
    ['probeWarm', 'boxCold'],
    ['deadCompressor', 'boxWarm'],
    ['lowCharge', 'alwaysRunning'],
    ['narrowBand', 'shortCycles'],
    ['deadHeater', 'iceOnCoil'],
    ['alarmTight', 'alarmNags'],
  ])('%s shows %s', (id, sign) => expect(shows(id)).toContain(sign));

  test('what cannot be simulated says so, and what does not fit is left out', () => {
    expect(days.find((d) => d.id === 'controlWet')!.simulated).toBeNull();
    expect(causesFor(plainUnit('chilledWaterTank')).map((c) => c.id)).not.toContain('deadHeater');
  });

  test('nothing can be run without a set point, and it can be stopped', () => {
    expect(causeDays(freezer, {})).toEqual(expect.any(String));
    expect(causeDays(freezer, planned, () => false)).toBeNull();
  });
});

describe('ranking', () => {
  test('the odds are shares of one; without evidence the commoner comes first', () => {
    const ranked = rankCauses(profiles, nothing);
    expect(ranked.reduce((sum, r) => sum + r.odds, 0)).toBeCloseTo(1, 12);
    expect(ranked[0]!.cause.share).toBe(Math.max(...profiles.map((p) => p.cause.share)));
  });

  // Oracle: somebody who knows the cause answers each check as the cause does.
  test.each(profiles.map((p) => [p.cause.id, p] as const))(
    '%s is found by its signs and at most six checks',
    (id, truth) => {
      const seen = [...(truth.simulated ?? [])];
      const told = Object.entries(truth.cause.shows ?? {}).flatMap(([sign, odds]) =>
        odds > 0.6 ? [sign] : [],
      );
      const signs = Object.fromEntries([...seen, ...told].map((sign) => [sign, true]));
      const checks: Partial<Record<CheckId, boolean>> = {};
      let asked = 0;
      for (; asked < 6; asked += 1) {
        const ranked = rankCauses(profiles, { signs, checks, logged: null });
        if (ranked[0]!.cause.id === id && ranked[0]!.odds > 0.8) break;
        const next = rankChecks(ranked, checks)[0];
        if (!next) break;
        checks[next.id] = (truth.cause.checks[next.id] ?? 0) > 0.5;
      }
      const ranked = rankCauses(profiles, { signs, checks, logged: null });
      // Two settings of the control that look alike from outside are parted by reading them: within the first two.
      expect(ranked.slice(0, 2).map((r) => r.cause.id)).toContain(id);
    },
  );

  test('a log speaks for the cause it names', () => {
    const without = rankCauses(profiles, { signs: { iceOnCoil: true }, checks: {}, logged: [] });
    const withLog = rankCauses(profiles, { signs: { iceOnCoil: true }, checks: {}, logged: ['heaterDead'] });
    const odds = (list: typeof without) => list.find((r) => r.cause.id === 'deadHeater')!.odds;
    expect(odds(withLog)).toBeGreaterThan(3 * odds(without));
    expect(withLog[0]!.cause.id).toBe('deadHeater');
    expect(withLog[0]!.logAgrees).toEqual(['heaterDead']);
  });

  test('the check asked first tells most, and none is asked twice', () => {
    const ranked = rankCauses(profiles, { ...nothing, signs: { boxWarm: true } });
    const checks = rankChecks(ranked, {});
    expect(checks.map((c) => c.bits)).toEqual(checks.map((c) => c.bits).toSorted((a, b) => b - a));
    expect(rankChecks(ranked, { [checks[0]!.id]: true }).map((c) => c.id)).not.toContain(checks[0]!.id);
  });

  test('every check has words and parts something; every cause names a check', () => {
    for (const id of checkIds) {
      expect(inWords(checkWords[id].question)).toMatch(/\?$/);
      expect([id, allCauses.some((cause) => (cause.checks[id] ?? 0) > 0.8)]).toEqual([id, true]);
    }
    // What is only set so is left when every check says no.
    for (const cause of allCauses.filter((c) => c.id !== 'fansAsSet'))
      expect([cause.id, Object.keys(cause.checks).length > 0]).toEqual([cause.id, true]);
    expect(new Set(allCauses.map((cause) => cause.id)).size).toBe(allCauses.length);
    expect(Object.keys(signNames)).toEqual([...signIds]);
  });
});
