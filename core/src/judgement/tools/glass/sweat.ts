import { saturationPressure } from '../../../machines/box/index.ts';

/** Still room air to glass, W/(m²·K): the inside value of EN 673, 1/0.13 (from memory). */
const ROOM_TO_GLASS = 7.7;

/** A glass front: °C, W/(m²·K), W/m². */
export interface GlassFront {
  readonly room: number;
  readonly inside: number;
  /** Of the whole pane, from air to air. */
  readonly conductance: number;
  readonly heater: number;
}

/** Temperature of the room side of the glass, °C: what comes from the room and the heater goes through the pane. */
export function glassSurface({ room, inside, conductance, heater }: GlassFront): number {
  const through = 1 / (1 / conductance - 1 / ROOM_TO_GLASS);
  return (ROOM_TO_GLASS * room + heater + through * inside) / (ROOM_TO_GLASS + through);
}

/** Relative humidity of the room, 0 to 1, from which the glass sweats. */
export const sweatsFrom = (front: GlassFront): number =>
  Math.min(1, saturationPressure(glassSurface(front)) / saturationPressure(front.room));

/** Dew point, °C, over water; the temperature at which the vapour that is there saturates. Bisection to 1e-6 K. */
export function dewPoint(celsius: number, relative: number): number {
  const wanted = relative * saturationPressure(celsius);
  let [low, high] = [-60, celsius];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    if (saturationPressure(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** W/m² that keep the glass just free of sweat; 0 where none is needed. */
export function heaterNeeded(front: GlassFront, relative: number): number {
  const dew = dewPoint(front.room, relative);
  const through = 1 / (1 / front.conductance - 1 / ROOM_TO_GLASS);
  return Math.max(0, dew * (ROOM_TO_GLASS + through) - ROOM_TO_GLASS * front.room - through * front.inside);
}
