import { describe, expect, test } from '@jest/globals';
import { goods } from '../../foundation/unit/index.ts';
import { family } from '../../../testing/families.ts';
import { judgeTrip } from './tripRecord.ts';
import { mayGoOn } from '../../controllers/alarmCodes/index.ts';
import { meterProblem, serviceIntervals, servicesDue } from './service.ts';
import { preCool, type PreCool } from './preCool.ts';
import { tripStages, tripSteps, valueOff } from './steps.ts';

const body = {
  length: 3.2,
  width: 1.7,
  height: 1.8,
  insulation: 1,
  outdoor: 24,
  startsAt: 24,
  setpoint: 2,
  band: 2,
};
const cooled = (more = {}) => preCool({ ...body, ...more }) as PreCool;

describe('pre-cooling', () => {
  test('the air is there first, the walls after it; warmer outside, larger or wetter takes longer', () => {
    const usual = cooled();
    expect(usual.airMinutes!).toBeGreaterThan(3);
    expect(usual.wallMinutes!).toBeGreaterThan(usual.airMinutes! * 1.2);
    expect(usual.wallMinutes!).toBeLessThan(240);
    expect(cooled({ outdoor: 35, startsAt: 35 }).wallMinutes!).toBeGreaterThan(usual.wallMinutes!);
    expect(cooled({ startsAt: 10 }).airMinutes!).toBeLessThan(usual.airMinutes!);
    expect(cooled({ setpoint: -4 }).airMinutes!).toBeGreaterThan(usual.airMinutes!);
  });
  test('a body that is cold already needs nothing; one it cannot get cold says so', () => {
    expect(cooled({ startsAt: 2 }).airMinutes).toBe(0);
    expect(cooled({ setpoint: -39, outdoor: 45, startsAt: 45, insulation: 0.2 }).airMinutes).toBeNull();
  });
  test('no body is a sentence', () => {
    expect(preCool({ ...body, length: 0 })).toContain('length');
    expect(preCool({ ...body, insulation: Number.NaN })).toContain('insulation');
    expect(preCool({ ...body, outdoor: 99 })).toContain('outdoor');
  });
});

describe('the steps', () => {
  test('each stage has steps, ids are unlike; that it starts by itself is said once, above them all', () => {
    for (const stage of tripStages)
      expect(stage === 'onTheWay' || tripSteps.some((s) => s.stage === stage)).toBe(true);
    expect(new Set(tripSteps.map((s) => s.id)).size).toBe(tripSteps.length);
    expect(tripSteps.filter((s) => s.caution?.includes('starts by itself'))).toEqual([]);
    expect(tripSteps.find((s) => s.id === 'coolant')!.caution).toContain('hot cooling system');
  });
  test.each([
    ['batteryVolts', 12.4, 14.1],
    ['oilPressure', 90, 350],
    ['coolantTemperature', 108, 85],
    ['engineSpeed', 900, 2200],
  ])('%s: %d is a fault with what to look at, %d is in order', (id, off, right) => {
    const step = tripSteps.find((s) => s.id === id)!;
    expect(valueOff(step, off)).toMatch(/: \w+/);
    expect(valueOff(step, right)).toBeNull();
  });
  test('a battery that discharges with the engine running is a fault', () => {
    const amps = tripSteps.find((s) => s.id === 'batteryAmps')!;
    expect(valueOff(amps, -4)).toContain('discharges');
    expect(valueOff(amps, 12)).toBeNull();
    expect(
      valueOff(
        tripSteps.find((s) => s.id === 'fuel')!,
        20,
      ),
    ).toContain('fill up');
  });
});

describe('the trip', () => {
  const show = (c: number) => `${c.toFixed(1)} °C`;
  const at = (clock: string) => `2026-11-20T${clock}:00.000Z`;
  test('minutes beyond the limit of the product, by hand: 06:30 to 07:15 warm', () => {
    const said = judgeTrip(
      [
        { at: at('06:00'), place: 'return', celsius: 1 },
        { at: at('06:30'), place: 'return', celsius: 4.5 },
        { at: at('07:15'), place: 'return', celsius: 1.5 },
        { at: at('07:40'), place: 'return', celsius: 1 },
      ],
      [
        { at: at('06:25'), minutes: 22 },
        { at: at('07:00'), minutes: 5 },
      ],
      goods.freshFish,
      show,
    );
    expect([said.minutesTooWarm, said.minutesTooCold, said.warmest, said.openMinutes]).toEqual([
      45, 0, 4.5, 27,
    ]);
    expect(said.words.join(' ')).toContain('owner’s and the authority’s decision');
    expect(said.words.join(' ')).toContain('open 22 min at 06:25');
  });
  test('all well, and nothing read', () => {
    expect(
      judgeTrip([{ at: at('06:00'), place: 'return', celsius: 1 }], [], goods.freshFish, show).words,
    ).toEqual(['The one reading lies within the limits of the product.']);
    expect(judgeTrip([], [], goods.produce, show).words).toEqual(['No reading was taken yet.']);
  });
});

describe('alarms and hours', () => {
  const codes = family('corrie-haul').alarmCodes!;
  test('a flashing sign or a shutdown code stops the trip, a steady check does not (common practice)', () => {
    const of = (severity: string) => codes.find((c) => c.severity === severity)!;
    expect(mayGoOn(of('check'), 'steady').goOn).toBe(true);
    expect(mayGoOn(of('check'), 'flashing').goOn).toBe(false);
    expect(mayGoOn(of('shutdown'), 'steady').goOn).toBe(false);
    expect(mayGoOn(undefined, null).words).toContain('Not in this control');
  });
  test('services: due, soon, later, unknown, by hand', () => {
    const due = servicesDue({ engine: 2470, total: 3000 }, { oil: 1420, belts: 2000, airFilter: 1500 });
    const of = (id: string) => due.find((d) => d.service.id === id)!;
    expect([of('oil').left, of('oil').state]).toEqual([-50, 'due']);
    expect([of('belts').left, of('belts').state]).toEqual([30, 'soon']);
    expect([of('airFilter').left, of('airFilter').state]).toEqual([30, 'soon']);
    expect(of('coils')).toMatchObject({ left: -1500, state: 'due', doneAt: null });
    expect(of('standby').state).toBe('unknown');
    expect(due[0]!.left).toBe(Math.min(...due.flatMap((d) => (d.left === null ? [] : [d.left]))));
    expect(due).toHaveLength(serviceIntervals.length);
  });
  test('an hour meter does not run backwards', () => {
    expect(meterProblem(2400, 2399)).toContain('backwards');
    expect(meterProblem(null, 0)).toBeNull();
    expect(meterProblem(1, Number.NaN)).toContain('0 to 999');
  });
});
