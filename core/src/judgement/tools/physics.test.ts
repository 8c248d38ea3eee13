import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import * as psychrolib from 'psychrolib';
import { boxOf } from '../../machines/box/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import { batteryDays } from './battery/days.ts';
import { usualToolFacts } from '../../foundation/unit/index.ts';
import { coolingForInterval, cycleMinutes, cyclesPerDay, startsOfDay } from './periods/cycle.ts';
import { dewPoint, glassSurface, heaterNeeded, sweatsFrom } from './glass/sweat.ts';
import { corrected, meterHeat, straight } from './heatMeter/heat.ts';
import { waterDensity, waterEnthalpy } from './heatMeter/water.ts';
import { dryingCoil, wetBulb } from './humidity/coilDries.ts';
import { freezingPoint, waterHeat } from '../../machines/tank/seaWater.ts';
import { endsAt, secondsBetween, tankOf } from '../../machines/tank/index.ts';
import { stagesDay } from '../../machines/simulation/index.ts';
import { plainUnit } from '../../../testing/units.ts';
import { unitScenario } from '../tuning/index.ts';

const psychro = ('default' in psychrolib ? psychrolib.default : psychrolib) as {
  SI: unknown;
  SetUnitSystem(system: unknown): void;
  GetTWetBulbFromRelHum(t: number, rh: number, p: number): number;
  GetTDewPointFromRelHum(t: number, rh: number): number;
};
psychro.SetUnitSystem(psychro.SI);

describe('sea water', () => {
  test('freezing point: the check value of UNESCO 44, 40 g/kg at 500 dbar −2.588567 °C, less its pressure term (from memory)', () =>
    expect(freezingPoint(40) - 7.53e-4 * 500).toBeCloseTo(-2.588567, 6));
  test('fresh water freezes at 0 and holds 4.19 kJ a litre and kelvin', () => {
    expect(freezingPoint(0)).toBeCloseTo(0, 12);
    expect(waterHeat(1, 0)).toBeCloseTo(4189, -1);
  });
});

describe('a tank of water', () => {
  const facts = { ...usualToolFacts, waterLitres: 300, chillerWatts: 800, roomAir: 18 };
  const tank = tankOf(facts);
  const values: SettingValues = {
    'regulation.setpoint': { value: 8, unit: 'degC' },
    'regulation.differential': { value: 2, unit: 'K' },
    'regulation.differentialPlacement': 'setpointIsCutOut',
  };

  /** The day that forecast and tools show of this tank. */
  const dayOf = (set: SettingValues, hours: number) => {
    const scenario = unitScenario({ ...plainUnit('chilledWaterTank'), facts }, set, { hours });
    if (typeof scenario === 'string') throw new Error(scenario);
    return stagesDay(scenario);
  };

  test('time between two temperatures against small steps of the balance (second implementation)', () => {
    let [water, seconds] = [10, 0];
    while (water > 8) {
      water += ((tank.pump - tank.chiller + tank.conductance * (tank.air - water)) / tank.heat) * 0.5;
      seconds += 0.5;
    }
    expect(secondsBetween(tank, 10, 8, -tank.chiller) / seconds).toBeCloseTo(1, 3);
    expect(secondsBetween(tank, 8, 200, 0)).toBe(Infinity);
  });
  test('the run keeps the energy: chiller out, pump and room in (conservation)', () => {
    const day = dayOf(values, 48);
    const joules =
      3600 *
      (48 * (tank.pump + tank.conductance * (tank.air - day.figures.air.mean)) -
        day.coolingHours * tank.chiller);
    // What is left is stored: no more than the band.
    expect(Math.abs(joules)).toBeLessThan(tank.heat * 2.6);
    expect(day.starts).toBeGreaterThan(0);
  });
  test('chiller and heater that overlap turn over again and again, apart they never do', () => {
    const stage2 = (offset: number): SettingValues => ({
      ...values,
      'stage2.function': 'thermostat',
      'stage2.action': 'heat',
      'stage2.reference': 'relative',
      'stage2.offset': { value: offset, unit: 'K' },
      'stage2.differential': { value: 1, unit: 'K' },
      'stage2.differentialPlacement': 'setpointIsCutOut',
    });
    const fights = dayOf(stage2(2.5), 24);
    const apart = dayOf(stage2(-1), 24);
    expect(fights.turnovers).toBeGreaterThan(5);
    expect(apart.turnovers).toBe(0);
    expect(fights.figures.kWhPerDay).toBeGreaterThan(apart.figures.kWhPerDay * 2);
  });
  test('without a machine it ends at the room and what the pump brings', () =>
    expect(endsAt(tank, 0)).toBeCloseTo(18 + 30 / tank.conductance, 9));
});

describe('moist air', () => {
  test('dew point and wet bulb against PsychroLib', () => {
    for (const [t, rh] of [
      [25, 0.6],
      [12, 0.8],
      [30, 0.3],
      [4, 0.9],
    ] as const) {
      expect(Math.abs(dewPoint(t, rh) - psychro.GetTDewPointFromRelHum(t, rh))).toBeLessThan(0.05);
      // The simplified balance leaves the sensible heat of the vapour out.
      expect(Math.abs(wetBulb(t, rh) - psychro.GetTWetBulbFromRelHum(t, rh, 101325))).toBeLessThan(0.2);
    }
  });
  test('glass: heat to it is heat through it, and the heater found keeps it just at the dew point (balance, property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 15, max: 35, noNaN: true }),
        fc.double({ min: -25, max: 8, noNaN: true }),
        fc.double({ min: 0.8, max: 5.5, noNaN: true }),
        fc.double({ min: 0.3, max: 0.95, noNaN: true }),
        (room, inside, conductance, relative) => {
          const front = { room, inside, conductance, heater: 0 };
          const surface = glassSurface(front);
          expect(7.7 * (room - surface)).toBeCloseTo(conductance * (room - inside), 6);
          const heater = heaterNeeded(front, relative);
          const dew = dewPoint(room, relative);
          if (heater > 0) expect(glassSurface({ ...front, heater })).toBeCloseTo(dew, 4);
          else expect(surface).toBeGreaterThanOrEqual(dew - 1e-6);
          expect(heater > 0).toBe(relative > sweatsFrom(front) + 1e-9);
        },
      ),
      { seed: 7, numRuns: 200 },
    );
  });
  test('a wet coil dries the sooner the drier the air, and holds the same water', () => {
    const box = boxOf('cellar');
    const [dry, damp] = [dryingCoil(box, 12, 0.6), dryingCoil(box, 12, 0.9)];
    expect(dry.held).toBe(damp.held);
    expect(dry.minutes).toBeLessThan(damp.minutes);
    // At saturation nothing evaporates.
    expect(dryingCoil(box, 12, 1).perMinute).toBeCloseTo(0, 6);
  });
});

describe('periods', () => {
  test('360 min of cooling and 30 of defrost are a cycle of 390 (common practice)', () => {
    expect(cycleMinutes({ cooling: 360, defrost: 30 })).toBe(390);
    expect(cyclesPerDay({ cooling: 360, defrost: 30 })).toBeCloseTo(1440 / 390, 9);
    expect(coolingForInterval(360, 30)).toBe(330);
    expect(startsOfDay({ cooling: 360, defrost: 30 }, 360)).toEqual([360, 750, 1140]);
  });
});

describe('a battery', () => {
  test('half of 100 Ah at 20 Ah a day less 4 charged lasts 3.125 days; for ever where the charge covers it (closed form)', () => {
    expect(batteryDays({ ampHours: 100, usable: 50, chargePerDay: 4 }, 20)).toBeCloseTo(3.125, 9);
    expect(batteryDays({ ampHours: 100, usable: 50, chargePerDay: 20 }, 20)).toBe(Infinity);
  });
});

describe('a heat meter', () => {
  test('density of water: 999.84, 999.97, 998.21, 988.04, 971.8 kg/m³ at 0, 4, 20, 50, 80 °C (IAPWS; the last two from memory)', () => {
    for (const [t, rho] of [
      [0, 999.84],
      [4, 999.97],
      [20, 998.21],
      [50, 988.04],
      [80, 971.8],
    ] as const)
      expect(Math.abs(waterDensity(t) - rho)).toBeLessThan(0.05);
  });
  test('a kelvin is 4.18 to 4.22 kJ/kg between 5 and 95 °C, without a step at the tens', () => {
    for (let t = 5; t < 95; t += 0.5) {
      const cp = (waterEnthalpy(t + 0.5) - waterEnthalpy(t)) / 0.5;
      expect(cp).toBeGreaterThan(4.17);
      expect(cp).toBeLessThan(4.23);
    }
    expect(waterEnthalpy(70) - waterEnthalpy(50)).toBeCloseTo(83.73, 2);
  });
  test('1 m³/h from 70 to 50 °C, meter in the return: 22.98 kW (by hand: 988.04 / 3600 × 83.73)', () => {
    const reading = { flow: 1, supply: 70, return: 50, inReturn: true };
    expect(meterHeat(reading, straight, straight).kilowatts).toBeCloseTo(22.98, 2);
    // In the supply the same volume weighs less.
    expect(meterHeat({ ...reading, inReturn: false }, straight, straight).kilowatts).toBeLessThan(22.98);
    expect(corrected({ slope: 1.002, offset: -0.2 }, 50)).toBeCloseTo(49.9, 9);
  });
});

test('a slope near 10 stands before a tenth of the degrees: the heat is that of a slope near 1 (closed form)', () => {
  const reading = { flow: 1.2, supply: 64, return: 46, inReturn: true };
  const near1 = meterHeat(reading, { slope: 1.0079, offset: 0.03 }, { slope: 0.9964, offset: -0.1 });
  const near10 = meterHeat(reading, { slope: 10.079, offset: 0.03 }, { slope: 9.964, offset: -0.1 });
  expect(near10.kilowatts).toBeCloseTo(near1.kilowatts, 9);
  expect(near10.supply).toBeCloseTo(1.0079 * 64 + 0.03, 9);
  // One alone near 10 is a slipped point, and shows as what it is.
  const slipped = meterHeat(reading, { slope: 10.079, offset: 0.03 }, { slope: 0.9964, offset: -0.1 });
  expect(slipped.supply).toBeGreaterThan(600);
});
