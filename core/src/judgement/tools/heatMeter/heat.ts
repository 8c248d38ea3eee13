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
/** What a reading becomes, °C. */
export const corrected = (line: SensorLine, celsius: number): number => line.slope * celsius + line.offset;

/** Heat from flow and both temperatures: mass flow at the meter times the difference of enthalpies. */
export function meterHeat(reading: MeterReading, supplyLine: SensorLine, returnLine: SensorLine): MeterHeat {
  const [warm, cold] = [corrected(supplyLine, reading.supply), corrected(returnLine, reading.return)];
  const perSecond = (reading.flow / 3600) * waterDensity(reading.inReturn ? cold : warm);
  return {
    supply: warm,
    return: cold,
    difference: warm - cold,
    kilowatts: perSecond * (waterEnthalpy(warm) - waterEnthalpy(cold)),
  };
}
