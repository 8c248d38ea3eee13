import { describe, expect, test } from '@jest/globals';
import { boxOf } from '../box/index.ts';
import type { Course } from './course.ts';
import { roomFor, runAlong, trackOf } from './openLoop.ts';

const HOURS = 8;
const step = 60;
const time = Float64Array.from({ length: (HOURS * 3600) / step + 1 }, (_, i) => i * step);

/** A compressor that runs ten minutes of every thirty, beside an ambient of its own. */
function courseBeside(ambient: (row: number) => number): Course {
  const switches = Array.from({ length: HOURS * 2 }, (_, i) => [
    { at: i * 1800, compressor: true, heater: false, fan: true },
    { at: i * 1800 + 600, compressor: false, heater: false, fan: true },
  ]).flat();
  return {
    time,
    air: time.map(() => 3),
    coil: null,
    ambient: time.map((_, i) => ambient(i)),
    door: null,
    startOfDay: 0,
    step,
    switches,
    stretches: [],
    defrosts: [],
    outputsLogged: true,
  };
}

function airAlong(course: Course): Float64Array {
  const track = trackOf(course, { opens: 0, closes: 0 });
  const box = boxOf('walkInCooler');
  return runAlong(
    track,
    {
      box,
      template: 'walkInCooler',
      ambient: 20,
      swing: 0,
      humidityFactor: 1,
      loggerLag: 60,
      loggerOffset: 0,
      hotGas: false,
    },
    roomFor(track),
  ).logged;
}

// Oracle: an ambient that does not change may be missed anywhere and anyhow.
describe('an ambient probe that fails for a while', () => {
  const whole = airAlong(courseBeside(() => 26));

  test.each([
    ['at the beginning', (row: number) => row < 90],
    ['in the middle', (row: number) => row > 200 && row < 300],
    ['to the end', (row: number) => row > 400],
  ])('%s: what it read goes on', (_, failed) => {
    expect(airAlong(courseBeside((row) => (failed(row) ? Number.NaN : 26)))).toEqual(whole);
  });

  test('matters else: three degrees warmer outside are seen', () => {
    expect(airAlong(courseBeside(() => 29)).at(-1)! - whole.at(-1)!).toBeGreaterThan(0.02);
  });
});
