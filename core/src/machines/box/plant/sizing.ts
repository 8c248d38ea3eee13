import { SECONDS_PER_DAY } from '../../../foundation/limits/index.ts';
import { doorFlow } from './infiltration.ts';
import { humidityRatio } from './moistAir.ts';
import type { Template } from './templates.ts';
import { openHoursPerDay, useFactors } from './use.ts';

/** The ambient that a machine is chosen for: 35 °C, at which condensing units are rated (AHRI 520, 95 °F; from memory). */
export const DESIGN_AMBIENT = 35;

export const designAmbientOf = (t: Template): number =>
  t.designAmbient ?? Math.max(DESIGN_AMBIENT, t.ambient);

/** Most humid air counted with, relative: above it a store is wet to the eye. Ours. */
const MOST_HUMID = 0.65;

/** What clears the coil, which decides for how many hours a day the machine can run. */
export type CoilClearing = 'none' | 'offCycle' | 'electric' | 'hotGas';

/** Hours a day in which the machine carries the design day: 16 to 18 where box air clears the coil, 18 to 20 with heaters. Common practice. */
export const runHours = (clearing: CoilClearing): number =>
  clearing === 'electric' || clearing === 'hotGas' ? 18 : 17;

/**
 * Humidity ratio of the air around a unit, kg/kg: the dew point is that of the kind's ordinary day, since a kitchen gets hot without getting wetter; never above 65 %.
 */
export function ambientRatio(t: Pick<Template, 'ambient' | 'humidity'>, ambient: number): number {
  return Math.min(humidityRatio(t.ambient, t.humidity), humidityRatio(ambient, MOST_HUMID));
}

/** Heat a box takes in on average over a day, W, by where it comes from. */
export interface HeatLoad {
  readonly walls: number;
  readonly door: number;
  readonly goods: number;
  readonly fans: number;
  readonly lights: number;
  readonly total: number;
}

/** What the load is worked out for: middle of the box and ambient, °C; how much the door is used against a normal day. */
export interface LoadCase {
  readonly inside: number;
  readonly ambient: number;
  readonly use: number;
  readonly area: number;
  readonly conductance: number;
}

/**
 * Mean heat load of a day, W: walls by conductance and area, the door by the air that buoyancy exchanges (its sensible and latent heat), warm goods coming in, fans and
 * lights. The way it is done by hand for a cold room (ASHRAE Handbook, Refrigeration, “Refrigeration load”; from memory).
 */
export function heatLoad(t: Template, { inside, ambient, use, area, conductance }: LoadCase): HeatLoad {
  const wet = ambientRatio(t, ambient);
  const dry = humidityRatio(inside, 0.8);
  const open = doorFlow(t.door, [inside, dry], [ambient, wet], true);
  const perKg = 1006 * (ambient - inside) + Math.max(0, wet - dry) * 2501e3;
  const share = (t.openings * use * t.openSeconds * openHoursPerDay) / SECONDS_PER_DAY;
  const walls = conductance * area * Math.abs(ambient - inside);
  const door = open * share * Math.max(0, perKg);
  const goods = goodsWatts(t, use);
  return {
    walls,
    door,
    goods,
    fans: t.fanWatts,
    lights: t.loadWatts,
    total: walls + door + goods + t.fanWatts + t.loadWatts,
  };
}

/** Heat that warm goods bring in on average over a day, W. */
export const goodsWatts = (t: Template, use: number): number =>
  (t.goods * t.volume * t.renewed * use * t.goodsHeat * t.warmer) / SECONDS_PER_DAY;

/** Capacity of the machine, W: the design day (35 °C, a busy door, warm goods) carried in its hours of running. */
export function capacityFor(t: Template, area: number, inside: number, clearing: CoilClearing): number {
  const day = heatLoad(t, {
    inside,
    ambient: designAmbientOf(t),
    use: useFactors.busy,
    area,
    conductance: t.conductance,
  });
  return Math.max(20, (day.total * 24) / runHours(clearing));
}
