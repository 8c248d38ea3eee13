import { describe, expect, test } from '@jest/globals';
import { scenarioOf } from '../../../testing/ownLog.ts';
import { simulate } from '../simulation/index.ts';
import { figuresOf } from './figuresOf.ts';
import { ownPlantAt } from './ownPlantAt.ts';
import { usualPoint } from './parameters.ts';

// Oracle: a second count of the same days, the figures of the simulation.
describe.each(['walkInFreezer', 'reachInRefrigerator', 'merchandiser'] as const)('days of a %s', (kind) => {
  const scenario = scenarioOf(kind);
  const own = { ...scenario, own: ownPlantAt(scenario, usualPoint(), { seed: 3, weather: [1, -1, 0] }) };
  // A thermometer that follows at once, half a degree off, that looks every ten seconds.
  const figures = figuresOf(own, { lag: 0.1, offset: 0.5, every: 10 });
  const { figures: counted } = simulate(own, { stride: 10 })!;
  const defrosts = counted.defrosts.temperature + counted.defrosts.time + counted.defrosts.other;

  test('starts, duty and defrosts', () => {
    expect(figures.startsPerHour).toBeCloseTo(counted.startsPerHour, 9);
    expect(figures.startsSeen).toBeCloseTo(counted.startsPerHour, 0);
    expect(figures.dutyPercent).toBeCloseTo(counted.dutyPercent, 0);
    expect(figures.defrostsPerDay).toBeCloseTo((defrosts * 24) / counted.hours, 9);
  });

  test('what is kept, ice and energy', () => {
    expect(figures.productMax).toBeCloseTo(counted.product.max, 2);
    expect(figures.energyPerDay / counted.kWhPerDay).toBeCloseTo(1, 2);
    if (counted.iceLeftAfterDefrost === null) expect(figures.iceLeft).toBeNull();
    else expect(Math.abs(figures.iceLeft! - counted.iceLeftAfterDefrost)).toBeLessThan(0.01);
  });

  test('air as the thermometer reads it', () => {
    expect(figures.airMean).toBeCloseTo(counted.air.mean + 0.5, 1);
    expect(figures.airMax).toBeCloseTo(counted.air.max + 0.5, 1);
    expect(figures.airDayMax).toBeLessThanOrEqual(figures.airMax);
  });
});
