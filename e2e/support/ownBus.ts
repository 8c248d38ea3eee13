import { noLineTroubles, noTroubles, StandInDevice } from '@brine/core/practice/standIn';
import type { ControllerDefinition, Register } from '@brine/core/controllers/definitions';
import { panelFrom, panelPatterns } from '@brine/core/controllers/suggest';
import { serve } from '@brine/bus/standIn';
import { realControl } from './writer.ts';

/** The booklet of a control that nobody prepared. */
export const ownBooklet = `Code;Description;Min;Max;Factory;Unit
co1;Set point;-10.0;15.0;4.0;°C
co2;Differential;0.5;9.9;2.0;°C
co3;Minimum compressor off time;0;15;3;min
co4;Interval between defrosts;1;24;6;h
co5;Maximum defrost duration;1;60;30;min
co6;High temperature alarm above set point;1;20;6;°C
co7;Temperature alarm delay;0;240;60;min
co8;Air probe calibration;-5.0;5.0;0.0;°C
`;
const control = realControl(ownBooklet, panelFrom(panelPatterns[0]!, {}));
const holding = (code: string, address: number, scale?: number): Register => ({
  code,
  function: 3,
  address,
  type: 'int16',
  ...(scale !== undefined && { scale }),
  writable: true,
});
/** What hangs on the wire: its registers count from 0, other than its booklet prints them. */
export const ownOnTheWire: ControllerDefinition = {
  ...control,
  registers: [
    holding('co1', 100, 10),
    holding('co2', 101, 10),
    holding('co3', 102),
    holding('co4', 103),
    holding('co5', 104),
    holding('co6', 105, 10),
    holding('co7', 106),
    holding('co8', 107, 10),
    { reading: 'air', function: 3, address: 200, type: 'int16', scale: 10, unit: 'degC' },
    { reading: 'compressor', function: 3, address: 201, type: 'int16' },
  ],
};

/** Such a control behind Modbus TCP, with values of its own. */
export async function ownDevice(values: readonly (readonly [string, number])[], unit: number) {
  const device = new StandInDevice(ownOnTheWire, new Map(values), noTroubles);
  const serving = await serve(device, { host: '127.0.0.1', port: 0, unit, speed: 1, line: noLineTroubles });
  return { device, serving };
}
