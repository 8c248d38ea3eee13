import { describe, expect, test } from '@jest/globals';
import { stepBox } from './box.ts';
import { BoxFlows, driveAtRest, restingBox, type BoxDrive, type BoxState } from './boxState.ts';
import { boxWork } from './boxWork.ts';
import { doorFlow } from './infiltration.ts';
import { humidityRatio } from './moistAir.ts';
import { storedHeat, storedWater } from '../../../../testing/storedInBox.ts';
import { boxOf } from './boxOf.ts';
import { templateIds, templates, type TemplateId } from './templates.ts';

const drive = (id: TemplateId, more: Partial<BoxDrive> = {}): BoxDrive => ({
  ...driveAtRest(templates[id].ambient, humidityRatio(templates[id].ambient, templates[id].humidity)),
  fan: true,
  ...more,
});
const noFlows = () => new BoxFlows();

/** A plain thermostat with a defrost every 6 h and a door, stepped by `dt`. */
function day(
  id: TemplateId,
  dt: number,
  hours = 24,
  watch: (s: BoxState, t: number) => void = () => undefined,
) {
  const p = boxOf(id);
  const s = restingBox(templates[id].inside);
  const flows = noFlows();
  const work = boxWork();
  const heats = templates[id].inside > 40;
  let call = false;
  let on = 0;
  let through = 0;
  let frost = 0;
  const seconds = hours * 3600;
  for (let t = 0; t < seconds; t += dt) {
    const defrost = t % 21600 > 21600 - 1500;
    const goal = templates[id].inside;
    call = heats
      ? s.probe < goal - 1 || (call && s.probe < goal)
      : s.probe > goal + 1 || (call && s.probe > goal - 1);
    const heater = defrost && p.heaterWatts > 0;
    const before = flows.heat;
    stepBox(
      p,
      s,
      drive(id, {
        compressor: call && !defrost && !heats,
        airHeater: call && heats,
        heater,
        fan: !heater,
        doorOpen: t % 900 < 15,
      }),
      dt,
      flows,
      work,
    );
    through += Math.abs(flows.heat - before);
    if (call && !defrost) on += dt;
    frost = Math.max(frost, s.zones[0].frost + s.zones[1].frost);
    watch(s, t);
  }
  return { p, s, flows, through, duty: on / seconds, frost };
}

describe.each(templateIds)('%s', (id) => {
  test('heat and water close to 0.1 % over a day (conservation; stored amounts counted apart from the step)', () => {
    const p = boxOf(id);
    const first = restingBox(templates[id].inside);
    const [heat, water] = [storedHeat(p, first), storedWater(p, first)];
    const { s, flows, through } = day(id, 1);
    expect(Math.abs(storedHeat(p, s) - heat - flows.heat)).toBeLessThan(through * 1e-3);
    const moved = Math.abs(flows.water) + flows.meltDrained;
    expect(Math.abs(storedWater(p, s) - water - flows.water)).toBeLessThan(moved * 1e-3 + 1e-9);
  });

  test('duty and most frost at 5 s and at 0.25 s stay within 2 % of the 1 s run', () => {
    const one = day(id, 1, 7);
    for (const dt of [5, 0.25]) {
      const other = day(id, dt, 7);
      expect(Math.abs(other.duty - one.duty)).toBeLessThan(0.02);
      expect(Math.abs(other.frost - one.frost)).toBeLessThan(0.02 * one.frost + 1e-3);
    }
  });

  test('nothing runs away: temperatures stay between coil and ambient, frost and water are never negative', () => {
    day(id, 1, 24, (s) => {
      // Plain comparisons: a day has 86,400 of them.
      for (const z of s.zones)
        if (!(z.frost >= 0 && z.water >= 0)) throw new Error(`frost ${z.frost}, water ${z.water}`);
      if (!(s.air > -60 && s.air < 110)) throw new Error(`air at ${s.air}`);
    });
  });
});

describe('a door', () => {
  const door = { width: 1, height: 2, share: 1 };
  const inside: [number, number] = [-18, humidityRatio(-18, 0.85)];
  const outside: [number, number] = [24, humidityRatio(24, 0.6)];

  test('Gosney and Olama by hand: air of 1.383 and 1.181 kg/m³ through 2 m² of 2 m height (equation from memory)', () => {
    // 0.221 · 2 · √(9.80665 · 2) · √(1 − 1.1806/1.3829) · (2/(1 + (1.3829/1.1806)^⅓))^1.5 · 1.3829
    const byHand = 0.221 * 2 * 4.42869 * 0.38248 * 0.9608 * 1.3829;
    expect(doorFlow(door, inside, outside, false) / byHand).toBeCloseTo(1, 2);
  });

  test('as much in as out: none without a difference, a quarter more with the fan', () => {
    expect(doorFlow(door, inside, inside, false)).toBe(0);
    expect(doorFlow(door, inside, outside, true)).toBeCloseTo(
      1.25 * doorFlow(door, inside, outside, false),
      12,
    );
  });
});

test('melt plateau: the metal stands above 0 °C while ice is left, longest in the far zone', () => {
  const p = boxOf('walkInFreezer');
  const s = restingBox(-25);
  s.zones[0].frost = 0.8;
  s.zones[1].frost = 0.8;
  const flows = noFlows();
  const work = boxWork();
  let near = 0;
  let far = 0;
  let above = false;
  for (let t = 0; t < 7200 && far === 0; t += 1) {
    stepBox(p, s, drive('walkInFreezer', { heater: true, fan: false }), 1, flows, work);
    if (s.zones[0].temperature > 1 && s.zones[0].frost > 0) above = true;
    if (near === 0 && s.zones[0].frost < 1e-6) near = t;
    if (far === 0 && s.zones[1].frost < 1e-6) far = t;
  }
  expect(above).toBe(true);
  expect(near).toBeGreaterThan(0);
  expect(far).toBeGreaterThan(near);
});

test('melting takes 334 kJ a kilogram: the heater’s energy covers warming and melting (published latent heat)', () => {
  // No leak, still air without exchange to speak of: what the heater gives goes into metal and ice.
  const p = { ...boxOf('walkInFreezer'), heaterLeak: 0, stillShare: 1e-9 };
  const s = restingBox(-25);
  for (const z of s.zones) z.frost = 1;
  const flows = noFlows();
  const work = boxWork();
  let seconds = 0;
  while (s.zones[0].frost + s.zones[1].frost > 0.01 && seconds < 20000) {
    stepBox(p, s, drive('walkInFreezer', { heater: true, fan: false }), 1, flows, work);
    seconds += 1;
  }
  const given = p.heaterWatts * seconds;
  const metal = p.zones.reduce((sum, z, i) => sum + z.heat * (s.zones[i]!.temperature + 25), 0);
  const ice = 2 * 2100 * 25 + 1.99 * 334e3;
  expect(Math.abs(given - metal - ice) / given).toBeLessThan(0.01);
});
