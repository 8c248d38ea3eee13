import { waterDensity, waterEnthalpy } from './water.ts';

/** The line of a sensor’s tag: what it reads becomes slope × reading + offset, °C. */
export interface SensorLine {
  readonly slope: number;
  readonly offset: number;
}

/** Flow in m³/h at the meter, raw readings in °C. */
export interface MeterReading {
  readonly flow: number;
  readonly supply: number;
  readonly return: number;
  /** True where the flow meter sits in the colder pipe. */
  readonly inReturn: boolean;
}

/** What the instrument makes of it: °C, K, kW. */
export interface MeterHeat {
  readonly supply: number;
  readonly return: number;
  readonly difference: number;
  readonly kilowatts: number;
}

/** No correction. */
export const straight: SensorLine = { slope: 1, offset: 0 };
/** Slopes from here on stand near 10: the instrument's signal is a tenth of the degrees (common practice: slopes near 1 or near 10). */
const TENTHS_FROM = 5;
/** True where a pair belongs to an instrument whose slopes stand near 10: both do. One alone is a slipped point. */
export const countsTenths = (supply: SensorLine, back: SensorLine): boolean =>
  Math.min(Math.abs(supply.slope), Math.abs(back.slope)) >= TENTHS_FROM;

/** What a signal becomes, °C: that of an instrument near 1 is the reading itself. */
export const corrected = (line: SensorLine, signal: number): number => line.slope * signal + line.offset;

/** Heat from flow and both temperatures: mass flow at the meter times the difference of enthalpies. */
export function meterHeat(reading: MeterReading, supplyLine: SensorLine, returnLine: SensorLine): MeterHeat {
  const each = countsTenths(supplyLine, returnLine) ? 0.1 : 1;
  const warm = corrected(supplyLine, each * reading.supply);
  const cold = corrected(returnLine, each * reading.return);
  const perSecond = (reading.flow / 3600) * waterDensity(reading.inReturn ? cold : warm);
  return {
    supply: warm,
    return: cold,
    difference: warm - cold,
    kilowatts: perSecond * (waterEnthalpy(warm) - waterEnthalpy(cold)),
  };
}
