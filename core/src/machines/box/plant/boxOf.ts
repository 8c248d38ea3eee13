import type { DefrostMethod } from '../../../foundation/unit/index.ts';
import type { BoxParameters } from './boxParameters.ts';
import { airDensity } from './moistAir.ts';
import { areaOf, capacityFor, designAmbientOf, goodsWatts } from './sizing.ts';
import type { Doorway } from './infiltration.ts';
import { templates, type Template, type TemplateId } from './templates.ts';

/** Coil metal to refrigerant at capacity, K: about a third of what lies between air and metal (common practice). */
const REFRIGERANT_DIFFERENCE = 2.5;
/**
 * Fin surface a W/K of coil, m²: 22 W/(m²·K) of a finned coil in moving air (common practice), and the frost that fills it, kg/m²: 1.2 mm on
 * either side of fins 4 to 6 mm apart, at 220 kg/m³ (common practice).
 */
const FINS_PER_W_K = 1 / 22;
const FROST_PER_M2 = 0.26;

/** How a template is changed: size, insulation and load as factors, ambient and its humidity. */
export interface BoxChoice {
  readonly volumeFactor?: number;
  /** Its own size, walls and door where they were measured: m³, mean W/(m²·K), m² of opening. The machine is chosen for them. */
  readonly volume?: number;
  readonly conductance?: number;
  readonly doorArea?: number;
  /** What the air probe hangs in: how slowly it follows the air, s. */
  readonly probeLag?: number;
  readonly insulationFactor?: number;
  readonly loadFactor?: number;
  /** Share of the usual goods that lie in it; an empty box still has its shelves. */
  readonly goodsFactor?: number;
  readonly ambient?: number;
  readonly humidity?: number;
  /** A heating stage, W, where the kind usually has none. */
  readonly airHeater?: number;
  /** What it was built to hold, °C, where that is colder than the kind usually is. */
  readonly inside?: number;
  /** What clears the coil, where that is not the kind's usual way. */
  readonly clearing?: DefrostMethod;
  /** Warm goods that come in, against an ordinary day; none where absent. */
  readonly goodsIn?: number;
  /** Coil surface and what the door lets through, against the usual: a larger coil, a strip curtain. */
  readonly coilFactor?: number;
  readonly doorFactor?: number;
}

/** Middle of the box that a template was built for, °C. */
export const insideOf = (id: TemplateId, choice: BoxChoice = {}): number =>
  Math.min(templates[id].inside, choice.inside ?? Infinity);

/** Parameters of a box: the machine is sized for the design day of its kind and size, what stands around it is the choice's. */
export function boxOf(id: TemplateId, choice: BoxChoice = {}): BoxParameters {
  const t = sized(templates[id], choice);
  const { volume } = t;
  const inside = insideOf(id, choice);
  const clearing = choice.clearing ?? t.defrost;
  const area = areaOf(volume);
  const capacity = capacityFor(t, inside, clearing);
  const wall = (t.conductance / (choice.insulationFactor ?? 1)) * area;
  const filled = choice.goodsFactor ?? 1;
  const kilograms = t.goods * filled * volume;
  const goods = kilograms * t.goodsHeat;
  const touched = kilograms * t.goodsToAir;
  const coil = (capacity / t.coilDifference) * (choice.coilFactor ?? 1);
  const zone = (share: number, heater: number) => ({
    heat: capacity * 13 * share,
    toAir: coil * share,
    full: coil * FINS_PER_W_K * FROST_PER_M2 * share,
    toFrost: coil * 0.8 * share,
    toRefrigerant: (capacity / REFRIGERANT_DIFFERENCE) * share,
    share: heater,
  });
  return {
    airMass: airDensity(inside, 0) * volume,
    fittings: area * 900 + volume * 1500,
    wallHeat: area * 7000,
    wallToAir: area * 6,
    wallToAmbient: wall,
    productFast: goods * 0.12,
    productSlow: goods * 0.88,
    productToAir: touched,
    productInside: touched * 1.7,
    zones: [zone(0.55, 0.6), zone(0.45, 0.4)],
    stillShare: 0.12,
    fanWatts: t.fanWatts,
    loadWatts: t.loadWatts * (choice.loadFactor ?? 1) + goodsWatts(t, choice.goodsIn ?? 0),
    moisture: volume * 2e-7 * (inside > 0 ? 1 : 0.1),
    heaterWatts: clearing === 'electric' ? capacity * t.heater : 0,
    heaterLeak: 0.15,
    hotGasWatts: capacity * 1.3,
    airHeaterWatts: choice.airHeater ?? t.airHeater,
    capacity,
    ratedEvaporating: inside - t.coilDifference - REFRIGERANT_DIFFERENCE,
    ratedCondensing: designAmbientOf(t) + 13,
    condenserApproach: 13,
    efficiency: 0.42,
    startUp: 35,
    drainTime: 100,
    probeLag: choice.probeLag ?? 45,
    coilProbeLag: 15,
    door: { ...t.door, share: t.door.share * (choice.doorFactor ?? 1) },
    leak: volume * 2e-5,
  };
}

/** The kind with walls and a door of its own, and at another volume: what stands in it grows with it. */
function sized(t: Template, choice: BoxChoice): Template {
  const size = choice.volume === undefined ? (choice.volumeFactor ?? 1) : choice.volume / t.volume;
  return {
    ...t,
    volume: t.volume * size,
    conductance: choice.conductance ?? t.conductance,
    fanWatts: t.fanWatts * size,
    loadWatts: t.loadWatts * size,
    airHeater: t.airHeater * size,
    door: choice.doorArea === undefined ? t.door : doorwayOf(t.door, choice.doorArea),
  };
}

/** Higher than this a door only grows wider, m. */
const DOOR_HEIGHT = 2.4;

/** A doorway of the same shape with another opening, m². */
function doorwayOf(door: Doorway, area: number): Doorway {
  const height = Math.min(
    Math.max(DOOR_HEIGHT, door.height),
    door.height * Math.sqrt(area / (door.width * door.height)),
  );
  return { ...door, height, width: area / height };
}
