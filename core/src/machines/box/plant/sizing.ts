import { AIR_HEAT, SECONDS_PER_DAY, VAPORISATION } from '../../../foundation/limits/index.ts';
import type { DefrostMethod } from '../../../foundation/unit/index.ts';
import { doorFlow } from './infiltration.ts';
import { humidityRatio } from './moistAir.ts';
import type { Template } from './templates.ts';
import { openHoursPerDay, useFactors } from './doorUse.ts';

/** The ambient that a machine is chosen for: 35 °C, at which condensing units are rated (AHRI 520, 95 °F; from memory). */
const DESIGN_AMBIENT = 35;

/** The ambient that the machine of a kind is chosen for, °C. */
export const designAmbientOf = (t: Template): number =>
  t.designAmbient ?? Math.max(DESIGN_AMBIENT, t.ambient);

/** Most humid air counted with, relative: above it a store is wet to the eye. Ours. */
const MOST_HUMID = 0.65;

/** Hours a day in which the machine carries the design day: 16 to 18 where box air clears the coil, 18 to 20 with heaters. Common practice. */
export const runHours = (clearing: DefrostMethod): number =>
  clearing === 'electric' || clearing === 'hotGas' ? 18 : 17;

/**
 * Humidity ratio of the air around a unit, kg/kg: at the humidity that was stated; else its dew point is that of the kind's ordinary day, since a kitchen gets hot without
 * getting wetter, and it is never above 65 %.
 */
export function ambientRatio(t: Template, ambient: number, stated?: number): number {
  return stated === undefined
    ? Math.min(humidityRatio(t.ambient, t.humidity), humidityRatio(ambient, MOST_HUMID))
    : humidityRatio(ambient, stated);
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
}

/** Surface of a box of that volume, m²: a block about one by one by two. */
export const areaOf = (volume: number): number => 6.5 * volume ** (2 / 3);

/**
 * Mean heat load of a day, W: walls by conductance and area, the door by the air that buoyancy exchanges (its sensible and latent heat), warm goods coming in, fans and
 * lights. The way it is done by hand for a cold room (ASHRAE Handbook, Refrigeration, “Refrigeration load”; from memory).
 */
export function heatLoad(t: Template, { inside, ambient, use }: LoadCase): HeatLoad {
  const wet = ambientRatio(t, ambient);
  const dry = humidityRatio(inside, 0.8);
  const open = doorFlow(t.door, [inside, dry], [ambient, wet], true);
  const perKg = AIR_HEAT * (ambient - inside) + Math.max(0, wet - dry) * VAPORISATION;
  const share = (t.openings * use * t.openSeconds * openHoursPerDay) / SECONDS_PER_DAY;
  const walls = t.conductance * areaOf(t.volume) * Math.abs(ambient - inside);
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

/** The design day of a kind that holds so many °C: 35 °C around it, a busy door, warm goods. */
export const designDay = (t: Template, inside: number): HeatLoad =>
  heatLoad(t, { inside, ambient: designAmbientOf(t), use: useFactors.busy });

/** Capacity of the machine, W: the design day carried in its hours of running. */
export const capacityFor = (t: Template, inside: number, clearing: DefrostMethod): number =>
  Math.max(20, (designDay(t, inside).total * 24) / runHours(clearing));
