import { saturatedRatio } from './moistAir.ts';
import {
  AIR,
  COIL_PROBE,
  COMPRESSOR_JOULES,
  FLOW_DRAINED,
  FLOW_HEAT,
  FLOW_WATER,
  FLOWS_LENGTH,
  OTHER_JOULES,
  PROBE,
  PRODUCT_FAST,
  PRODUCT_SLOW,
  RATIO,
  STATE_LENGTH,
  UP,
  WALL,
  ZONE_ONE,
  ZONE_TWO,
} from './places.ts';

/** A zone as it stands: metal temperature, frost and held water in kg; a view of the box's own numbers. */
export class ZoneState {
  private readonly at: Float64Array;
  private readonly from: number;

  constructor(at: Float64Array, from: number) {
    this.at = at;
    this.from = from;
  }

  get temperature(): number {
    return this.at[this.from]!;
  }
  set temperature(celsius: number) {
    this.at[this.from] = celsius;
  }
  get frost(): number {
    return this.at[this.from + 1]!;
  }
  set frost(kilograms: number) {
    this.at[this.from + 1] = kilograms;
  }
  get water(): number {
    return this.at[this.from + 2]!;
  }
  set water(kilograms: number) {
    this.at[this.from + 2] = kilograms;
  }
}

/** The box as it stands: one array that a step reads and writes, with a name for each number. Changed in place by `stepBox`. */
export class BoxState {
  readonly at = new Float64Array(STATE_LENGTH);
  readonly zones: readonly [ZoneState, ZoneState] = [
    new ZoneState(this.at, ZONE_ONE),
    new ZoneState(this.at, ZONE_TWO),
  ];

  get air(): number {
    return this.at[AIR]!;
  }
  set air(celsius: number) {
    this.at[AIR] = celsius;
  }
  get ratio(): number {
    return this.at[RATIO]!;
  }
  get wall(): number {
    return this.at[WALL]!;
  }
  get productFast(): number {
    return this.at[PRODUCT_FAST]!;
  }
  set productFast(celsius: number) {
    this.at[PRODUCT_FAST] = celsius;
  }
  get productSlow(): number {
    return this.at[PRODUCT_SLOW]!;
  }
  set productSlow(celsius: number) {
    this.at[PRODUCT_SLOW] = celsius;
  }
  /** Share of capacity that has come up. */
  get up(): number {
    return this.at[UP]!;
  }
  get probe(): number {
    return this.at[PROBE]!;
  }
  get coilProbe(): number {
    return this.at[COIL_PROBE]!;
  }
  /** Frost on both zones, kg. */
  get ice(): number {
    return this.at[ZONE_ONE + 1]! + this.at[ZONE_TWO + 1]!;
  }
  /** Water held on both zones, kg. */
  get water(): number {
    return this.at[ZONE_ONE + 2]! + this.at[ZONE_TWO + 2]!;
  }
}

/** What drives the box in a step. The factors stand at 1 where nothing is broken. */
export interface BoxDrive {
  compressor: boolean;
  heater: boolean;
  hotGas: boolean;
  fan: boolean;
  airHeater: boolean;
  doorOpen: boolean;
  ambient: number;
  ambientRatio: number;
  capacityFactor: number;
  condenserRise: number;
  heaterFactor: number;
  fanFactor: number;
}

/** A drive with everything off and nothing broken, in air of this temperature and humidity ratio. */
export const driveAtRest = (ambient: number, ambientRatio: number): BoxDrive => ({
  compressor: false,
  heater: false,
  hotGas: false,
  fan: false,
  airHeater: false,
  doorOpen: false,
  ambient,
  ambientRatio,
  capacityFactor: 1,
  condenserRise: 0,
  heaterFactor: 1,
  fanFactor: 1,
});

/** Heat and water over the boundary, summed from step to step: J and kg, in is positive. Compressor work stays outside; it is told apart. */
export class BoxFlows {
  readonly at = new Float64Array(FLOWS_LENGTH);

  get heat(): number {
    return this.at[FLOW_HEAT]!;
  }
  get water(): number {
    return this.at[FLOW_WATER]!;
  }
  get compressorJoules(): number {
    return this.at[COMPRESSOR_JOULES]!;
  }
  get otherJoules(): number {
    return this.at[OTHER_JOULES]!;
  }
  get meltDrained(): number {
    return this.at[FLOW_DRAINED]!;
  }
  /** Energy is counted from here on. */
  restartEnergy(): void {
    this.at[COMPRESSOR_JOULES] = 0;
    this.at[OTHER_JOULES] = 0;
  }
}

/** A box at one temperature, dry coil, air at 85 % of saturation over the coil's own temperature. */
export function restingBox(temperature: number): BoxState {
  const state = new BoxState();
  state.at.fill(temperature, AIR, PRODUCT_SLOW + 1);
  state.at[RATIO] = saturatedRatio(temperature) * 0.85;
  state.at[PROBE] = temperature;
  state.at[COIL_PROBE] = temperature;
  state.at[ZONE_ONE] = temperature;
  state.at[ZONE_TWO] = temperature;
  return state;
}
