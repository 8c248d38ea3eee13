import { saturatedRatio } from '../../src/machines/box/index.ts';
import type { OtherBoxRecipe } from './recipe.ts';

const CP = 1006;
const LATENT = 2.5e6;
const MELT = 3.34e5;

/** What a second of the box is driven by. */
export interface OtherDrive {
  compressor: boolean;
  fan: boolean;
  heater: boolean;
  ambient: number;
  ambientRatio: number;
  /** kg/s through the door. */
  exchange: number;
  load: number;
}

/**
 * A refrigerated box by other equations than the forecast's: air passes the coil with an effectiveness 1 − e^(−NTU) and comes back as supply air; one coil metal; frost that blocks by a
 * power of its mass and loses hold as it melts; a wall of three layers and goods of three shells by finite differences; shelves behind a film of their own;
 * a refrigerating curve of second order, and a start that waits before it cools. Explicit steps of one second.
 */
export class OtherPlant {
  readonly air: { t: number; ratio: number };
  supply: number;
  coil: number;
  frost = 0;
  water = 0;
  fittings: number;
  readonly wall: Float64Array;
  readonly goods: Float64Array;
  probe: number;
  coilProbe: number;
  private up = 0;
  private sinceStart = -1;
  private readonly r: OtherBoxRecipe;

  constructor(recipe: OtherBoxRecipe, at: number, ambient: number) {
    this.r = recipe;
    this.air = { t: at, ratio: saturatedRatio(at) * 0.7 };
    this.supply = this.coil = this.fittings = this.probe = this.coilProbe = at;
    this.wall = Float64Array.from([0.8, 0.5, 0.2], (share) => at + (ambient - at) * (1 - share));
    this.goods = new Float64Array(3).fill(at);
  }

  /** Warm goods: a share of the outer shells is exchanged. */
  deliver(share: number, warmer: number): void {
    for (let i = 0; i < 3; i += 1) this.goods[i]! += share * warmer;
  }

  second(d: OtherDrive): void {
    const { r, air, wall, goods } = this;
    const blocked = 1 / (1 + (this.frost / r.halved) ** r.blocks);
    const flow = r.flow * blocked * (d.fan ? 1 : r.still);
    // A slower flow stays longer: transfer units grow by the power 0.3 of what is lost.
    const effective = 1 - Math.exp(-r.ntu * (d.fan ? 1 : r.still ** -0.3) * blocked ** 0.3);
    this.supply = air.t - effective * (air.t - this.coil);
    const toCoil = flow * CP * effective * (air.t - this.coil);
    const vapour = this.vapourToCoil(flow * effective * 0.9);
    const ice = this.coil < 0 ? vapour : 0;

    // Refrigeration: evaporating temperature by a few steps of Newton's rule.
    this.sinceStart = d.compressor ? this.sinceStart + 1 : -1;
    const waits = this.sinceStart < r.start[0];
    this.up += d.compressor ? (waits ? 0 : (1 - this.up) / r.start[1]) : -this.up / 12;
    const cooling = this.cooling(d.ambient);

    let metal = toCoil - cooling + vapour * LATENT + ice * MELT;
    const heat = d.heater ? r.heater[0] : 0;
    metal += heat * (1 - r.heater[1]);
    this.frost = Math.max(0, this.frost + ice);
    this.water = Math.max(0, this.water + vapour - ice);
    if (this.coil > 0 && this.frost > 0) {
      const hold = Math.min(1, this.frost / (0.5 * r.halved)) ** r.melt[1];
      const melted = Math.min(this.frost, (r.melt[0] * hold * this.coil) / MELT);
      this.frost -= melted;
      this.water += melted;
      metal -= melted * MELT;
    }
    if (this.coil > -1) this.water -= this.water / 150;
    this.coil += metal / (r.coil[0] + 2000 * this.frost);

    const film = r.wall[2] * (wall[0]! - air.t);
    const shell = r.goods[1] * (goods[0]! - air.t);
    const shelf = r.fittings[1] * (this.fittings - air.t);
    const door = d.exchange * CP * (d.ambient - air.t);
    const inside = d.load + (d.fan ? r.fanWatts : 0) + heat * r.heater[1];
    air.t += (film + shell + shelf + door + inside - toCoil) / (r.air * CP);
    air.ratio = Math.max(1e-5, air.ratio + (d.exchange * (d.ambientRatio - air.ratio) - vapour) / r.air);
    this.fittings -= shelf / r.fittings[0];

    const layer = r.wall[1] / 3;
    const between = r.wall[0] * 3;
    const [a, b, c] = [wall[0]!, wall[1]!, wall[2]!];
    wall[0] = a + (between * (b - a) - film) / layer;
    wall[1] = b + (between * (a - 2 * b + c)) / layer;
    wall[2] = c + (between * (b - c) + between * 2 * (d.ambient - c)) / layer;
    const third = r.goods[0] / 3;
    const [x, y, z] = [goods[0]!, goods[1]!, goods[2]!];
    goods[0] = x + (r.goods[2] * (y - x) - shell) / third;
    goods[1] = y + (r.goods[2] * (x - 2 * y + z)) / third;
    goods[2] = z + (r.goods[2] * (y - z)) / third;

    this.probe += (r.probe[0] * this.supply + (1 - r.probe[0]) * air.t - this.probe) / r.probe[1];
    this.coilProbe += (this.coil - this.coilProbe) / r.coilProbeLag;
  }

  /** kg/s of vapour that the coil takes, below zero where it gives. */
  private vapourToCoil(rate: number): number {
    const surface = this.frost > 0 && this.coil > 0 ? 0 : this.coil;
    const wanted = rate * (this.air.ratio - saturatedRatio(Math.max(-59, surface)));
    return wanted >= 0 ? wanted : -Math.min(-wanted, (this.coil < 0 ? this.frost : this.water) * 0.2);
  }

  private cooling(ambient: number): number {
    if (this.up < 1e-3) return 0;
    const { capacity, coil } = this.r;
    const [watts, at, rated] = capacity;
    const full = this.up * watts * Math.max(0.3, 1 - 0.012 * (ambient - rated));
    let te = this.coil - 3;
    for (let i = 0; i < 4; i += 1) {
      const x = Math.max(-25, te - at);
      const q = full * (1 + 0.036 * x + 0.00045 * x * x);
      const slope = full * (0.036 + 0.0009 * x);
      te -= (q - coil[1] * (this.coil - te)) / (slope + coil[1]);
    }
    return Math.max(0, coil[1] * (this.coil - te));
  }
}
