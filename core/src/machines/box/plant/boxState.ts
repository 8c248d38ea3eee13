import { saturatedRatio } from './moistAir.ts';

/** A zone as it stands: metal temperature, frost and held water in kg. */
export interface ZoneState {
  temperature: number;
  frost: number;
  water: number;
}

/** The box as it stands. Changed in place by {@link stepBox}. */
export interface BoxState {
  air: number;
  ratio: number;
  wall: number;
  productFast: number;
  productSlow: number;
  zones: [ZoneState, ZoneState];
  /** Share of capacity that has come up, 0 to 1. */
  up: number;
  probe: number;
  coilProbe: number;
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

/** Heat and water over the boundary in a step: J and kg, in is positive. Compressor work stays outside; it is told apart. */
export interface BoxFlows {
  heat: number;
  water: number;
  compressorJoules: number;
  otherJoules: number;
  meltDrained: number;
}

/** A box at one temperature, dry coil, air at 85 % of saturation over the coil's own temperature. */
export function restingBox(temperature: number): BoxState {
  return {
    air: temperature,
    ratio: saturatedRatio(temperature) * 0.85,
    wall: temperature,
    productFast: temperature,
    productSlow: temperature,
    zones: [
      { temperature, frost: 0, water: 0 },
      { temperature, frost: 0, water: 0 },
    ],
    up: 0,
    probe: temperature,
    coilProbe: temperature,
  };
}
