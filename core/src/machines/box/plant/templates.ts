import {
  applications,
  isMachine,
  type Application,
  type Machine,
} from '../../../foundation/settings/index.ts';
import type { BoxParameters } from './boxParameters.ts';
import { doorFlow, type Doorway } from './infiltration.ts';
import { airDensity, humidityRatio } from './moistAir.ts';

/** Kinds of equipment the simulator has a box for: all but machines that keep nothing. */
export type TemplateId = Exclude<Application, Machine>;
export const templateIds: readonly TemplateId[] = applications.filter(
  (id): id is TemplateId => !isMachine(id),
);

/** A kind of box at the size and use it is usually met with; all of it invented, kept plausible by tests. */
export interface Template {
  readonly name: string;
  /** Middle of the box and design ambient, °C; relative humidity of the ambient, 0 to 1. */
  readonly inside: number;
  readonly ambient: number;
  readonly humidity: number;
  /** m³ and W/(m²·K). */
  readonly volume: number;
  readonly conductance: number;
  /** Goods, kg a m³ of box, and their heat, J/(kg·K). */
  readonly goods: number;
  readonly goodsHeat: number;
  readonly fanWatts: number;
  readonly loadWatts: number;
  readonly door: Doorway;
  /** Air to coil at design, K. */
  readonly coilDifference: number;
  /** Share of the day the compressor runs at design. */
  readonly duty: number;
  /** Heater as a share of capacity; 0 where the coil clears by itself. */
  readonly heater: number;
  /** A heating stage, W. */
  readonly airHeater: number;
  /** Opened so many times an hour of the day's business, so long, in normal use. */
  readonly openings: number;
  readonly openSeconds: number;
}

const cabinet: Doorway = { width: 0.6, height: 1.5, share: 0.5 };
const walkIn: Doorway = { width: 0.9, height: 2, share: 0.25 };

export const templates: Readonly<Record<TemplateId, Template>> = {
  walkInCooler: {
    name: 'Walk-in cooler',
    inside: 3,
    ambient: 30,
    humidity: 0.55,
    volume: 18,
    conductance: 0.28,
    goods: 90,
    goodsHeat: 3500,
    fanWatts: 120,
    loadWatts: 60,
    door: walkIn,
    coilDifference: 7,
    duty: 0.55,
    heater: 0,
    airHeater: 0,
    openings: 6,
    openSeconds: 20,
  },
  walkInFreezer: {
    name: 'Walk-in freezer',
    inside: -20,
    ambient: 30,
    humidity: 0.55,
    volume: 14,
    conductance: 0.22,
    goods: 120,
    goodsHeat: 1900,
    fanWatts: 110,
    loadWatts: 40,
    door: { ...walkIn, share: 0.25 },
    coilDifference: 6.5,
    duty: 0.55,
    heater: 1,
    airHeater: 0,
    openings: 4,
    openSeconds: 20,
  },
  reachInRefrigerator: {
    name: 'Reach-in refrigerator',
    inside: 3.5,
    ambient: 30,
    humidity: 0.55,
    volume: 0.6,
    conductance: 0.5,
    goods: 120,
    goodsHeat: 3500,
    fanWatts: 12,
    loadWatts: 8,
    door: cabinet,
    coilDifference: 8,
    duty: 0.5,
    heater: 0,
    airHeater: 0,
    openings: 10,
    openSeconds: 10,
  },
  reachInFreezer: {
    name: 'Reach-in freezer',
    inside: -20,
    ambient: 30,
    humidity: 0.55,
    volume: 0.6,
    conductance: 0.4,
    goods: 150,
    goodsHeat: 1900,
    fanWatts: 14,
    loadWatts: 5,
    door: { ...cabinet, share: 0.35 },
    coilDifference: 7.5,
    duty: 0.55,
    heater: 0.9,
    airHeater: 0,
    openings: 5,
    openSeconds: 10,
  },
  merchandiser: {
    name: 'Merchandiser',
    inside: 4,
    ambient: 25,
    humidity: 0.6,
    volume: 0.9,
    conductance: 1.6,
    goods: 130,
    goodsHeat: 3700,
    fanWatts: 25,
    loadWatts: 40,
    door: cabinet,
    coilDifference: 8,
    duty: 0.55,
    heater: 0,
    airHeater: 0,
    openings: 15,
    openSeconds: 8,
  },
  iceCreamCabinet: {
    name: 'Ice cream cabinet',
    inside: -22,
    ambient: 28,
    humidity: 0.6,
    volume: 0.35,
    conductance: 0.5,
    goods: 200,
    goodsHeat: 1900,
    fanWatts: 8,
    loadWatts: 4,
    door: { width: 0.5, height: 0.5, share: 0.3 },
    coilDifference: 8,
    duty: 0.55,
    heater: 0.9,
    airHeater: 0,
    openings: 6,
    openSeconds: 8,
  },
  cellar: {
    name: 'Cellar',
    inside: 12,
    ambient: 24,
    humidity: 0.65,
    volume: 60,
    conductance: 0.6,
    goods: 60,
    goodsHeat: 3600,
    fanWatts: 110,
    loadWatts: 60,
    door: { ...walkIn, share: 0.5 },
    coilDifference: 8,
    duty: 0.5,
    heater: 0,
    airHeater: 0,
    openings: 3,
    openSeconds: 20,
  },
  chilledWaterTank: {
    name: 'Chilled water tank',
    inside: 10,
    ambient: 22,
    humidity: 0.6,
    volume: 0.8,
    conductance: 1.2,
    goods: 800,
    goodsHeat: 4186,
    fanWatts: 10,
    loadWatts: 15,
    door: { width: 0.1, height: 0.1, share: 0.2 },
    coilDifference: 6,
    duty: 0.5,
    heater: 0,
    airHeater: 300,
    openings: 1,
    openSeconds: 10,
  },
  vehicleFridge: {
    name: '12 V vehicle fridge',
    inside: 5,
    ambient: 28,
    humidity: 0.6,
    volume: 0.08,
    conductance: 0.7,
    goods: 220,
    goodsHeat: 3600,
    fanWatts: 1.5,
    loadWatts: 1,
    door: { width: 0.4, height: 0.4, share: 0.4 },
    coilDifference: 9,
    duty: 0.45,
    heater: 0,
    airHeater: 0,
    openings: 3,
    openSeconds: 10,
  },
  pharmacyRefrigerator: {
    name: 'Pharmacy refrigerator',
    inside: 5,
    ambient: 25,
    humidity: 0.5,
    volume: 0.4,
    conductance: 0.5,
    goods: 60,
    goodsHeat: 3500,
    fanWatts: 12,
    loadWatts: 6,
    door: { ...cabinet, share: 0.4 },
    coilDifference: 7,
    duty: 0.5,
    heater: 0,
    airHeater: 0,
    openings: 4,
    openSeconds: 10,
  },
  hotCupboard: {
    name: 'Hot cupboard',
    inside: 70,
    ambient: 22,
    humidity: 0.5,
    volume: 0.5,
    conductance: 0.8,
    goods: 100,
    goodsHeat: 3500,
    fanWatts: 20,
    loadWatts: 0,
    door: { width: 0.6, height: 0.8, share: 0.4 },
    coilDifference: 8,
    duty: 0.5,
    heater: 0,
    airHeater: 230,
    openings: 6,
    openSeconds: 10,
  },
  transportUnit: {
    name: 'Transport body',
    inside: 2,
    ambient: 30,
    humidity: 0.55,
    volume: 12,
    conductance: 0.5,
    goods: 120,
    goodsHeat: 3500,
    fanWatts: 160,
    loadWatts: 0,
    door: { width: 1.6, height: 1.8, share: 0.15 },
    coilDifference: 8,
    duty: 0.5,
    heater: 0,
    airHeater: 0,
    openings: 2,
    openSeconds: 60,
  },
};

/** Coil metal to refrigerant at capacity, K. */
const REFRIGERANT_DIFFERENCE = 4;

/** How a template is changed: size, insulation and load as factors, ambient and its humidity. */
export interface BoxChoice {
  readonly volumeFactor?: number;
  readonly insulationFactor?: number;
  readonly loadFactor?: number;
  /** Share of the usual goods that lie in it; an empty box still has its shelves. */
  readonly goodsFactor?: number;
  readonly ambient?: number;
  readonly humidity?: number;
  /** A heating stage, W, where the kind usually has none. */
  readonly airHeater?: number;
}

/** Heat the box takes in at its design, W: what the machine was sized for. */
function designLoad(t: Template, area: number): number {
  const inside: [number, number] = [t.inside, humidityRatio(t.inside, 0.8)];
  const outside: [number, number] = [t.ambient, humidityRatio(t.ambient, t.humidity)];
  const open = doorFlow(t.door, inside, outside, true);
  const share = (t.openings * t.openSeconds) / 3600 / 2;
  const perKg = 1006 * (t.ambient - t.inside) + Math.max(0, outside[1] - inside[1]) * 2501e3;
  return (
    t.conductance * area * Math.abs(t.ambient - t.inside) +
    t.fanWatts +
    t.loadWatts +
    open * share * Math.max(0, perKg)
  );
}

/** Parameters of a box: the machine is sized for the template's own design, what stands around it for the choice. */
export function boxOf(id: TemplateId, choice: BoxChoice = {}): BoxParameters {
  const t = templates[id];
  const size = choice.volumeFactor ?? 1;
  const volume = t.volume * size;
  const area = 6.5 * volume ** (2 / 3);
  const fans = t.fanWatts * size;
  const load = t.loadWatts * size;
  const capacity = Math.max(20, designLoad({ ...t, volume, fanWatts: fans, loadWatts: load }, area) / t.duty);
  const wall = (t.conductance / (choice.insulationFactor ?? 1)) * area;
  const filled = choice.goodsFactor ?? 1;
  const goods = t.goods * filled * volume * t.goodsHeat;
  const coil = capacity / t.coilDifference;
  const zone = (share: number, heater: number) => ({
    heat: capacity * 13 * share,
    toAir: coil * share,
    full: capacity * 9e-4 * share,
    toFrost: capacity * 0.12 * share,
    toRefrigerant: (capacity / REFRIGERANT_DIFFERENCE) * share,
    share: heater,
  });
  const air = airDensity(t.inside, 0) * volume;
  return {
    airMass: air,
    fittings: area * 900,
    wallHeat: area * 7000,
    wallToAir: area * 6,
    wallToAmbient: wall,
    productFast: goods * 0.12,
    productSlow: goods * 0.88,
    productToAir: 3.5 * volume * Math.min(6, (t.goods * filled) / 25),
    productInside: 6 * volume * Math.min(6, (t.goods * filled) / 25),
    zones: [zone(0.55, 0.6), zone(0.45, 0.4)],
    stillShare: 0.12,
    fanWatts: fans,
    loadWatts: load * (choice.loadFactor ?? 1),
    moisture: volume * 2e-7 * (t.inside > 0 ? 1 : 0.1),
    heaterWatts: capacity * t.heater,
    heaterLeak: 0.15,
    hotGasWatts: capacity * 1.3,
    airHeaterWatts: choice.airHeater ?? t.airHeater * size,
    capacity,
    ratedEvaporating: t.inside - t.coilDifference - REFRIGERANT_DIFFERENCE,
    ratedCondensing: t.ambient + 13,
    condenserApproach: 13,
    efficiency: 0.42,
    startUp: 35,
    drainTime: 150,
    probeLag: 45,
    coilProbeLag: 15,
    door: t.door,
    leak: volume * 2e-5,
  };
}
