import { readFileSync } from 'node:fs';
import {
  readDefinition,
  type CodeValue,
  type ControllerDefinition,
} from '@brine/core/controllers/definitions';
import { noLineTroubles, readTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { Line, type LineOptions } from '../src/line/index.ts';
import { serve, type Serving } from '../src/standIn/index.ts';

/** A control of the demo with a register table. */
export function withRegisters(): ControllerDefinition {
  const file = new URL('../../demo/controllers/skerry-dx.controller.json', import.meta.url);
  const read = readDefinition(JSON.parse(readFileSync(file, 'utf8')));
  if ('faults' in read) throw new Error(read.faults[0]!.message);
  return read.definition;
}

export interface Trial {
  readonly device: StandInDevice;
  readonly serving: Serving;
  readonly line: Line;
}

/** A stand-in that goes wrong as told, and a line to it, for as long as a test plays. */
export async function onLine(
  play: (trial: Trial) => Promise<void>,
  {
    faults = [],
    given = [],
    speed = 1,
    definition = withRegisters(),
    ...options
  }: LineOptions & {
    faults?: readonly string[];
    given?: readonly (readonly [string, CodeValue])[];
    speed?: number;
    definition?: ControllerDefinition;
  } = {},
): Promise<void> {
  const troubles = readTroubles(definition, faults);
  if ('problem' in troubles) throw new Error(troubles.problem);
  const device = new StandInDevice(definition, new Map(given), troubles.device);
  const serving = await serve(device, {
    host: '127.0.0.1',
    port: 0,
    unit: 1,
    speed,
    line: { ...noLineTroubles, ...troubles.line },
  });
  const line = new Line({ host: '127.0.0.1', port: serving.port, kind: 'tcp' }, options);
  try {
    await play({ device, serving, line });
  } finally {
    line.close();
    await serving.close();
  }
}
