import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { readDefinition, type ControllerDefinition } from '@brine/core/controllers/definitions';
import { readTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { serve } from './serve.ts';

const USAGE = `npm run stand-in -- --controller FILE [options]
A controller that is none, behind Modbus TCP: its codes, its control machine and a box.
  --controller FILE   its definition, with registers
  --port 5020         where it listens
  --host 127.0.0.1    on which address
  --unit 1            its address on the line, 1 to 247
  --speed 1           seconds of the unit in a second of the clock
  --fault WHAT        what goes wrong; may be given more than once: slow=20, dead=30-45, busy=5,
                      noise=7 (the connection breaks every so often),
                      locked, lock=CODE, clamp=CODE:LEAST:MOST, or a fault of the box such as dirtyCondenser or airProbeOpen=60-600
`;

class Refused extends Error {}

function whole(name: string, text: string, least: number, most: number): number {
  const number = Number(text);
  if (!Number.isInteger(number) || number < least || number > most)
    throw new Refused(`--${name}: expected a whole number from ${least} to ${most}, found “${text}”`);
  return number;
}

function definitionIn(file: string): ControllerDefinition {
  let data: unknown;
  try {
    data = JSON.parse(readFileSync(file, 'utf8'));
  } catch (error) {
    throw new Refused(`${file}: ${(error as Error).message}`);
  }
  const read = readDefinition(data);
  if ('faults' in read) throw new Refused(`${file}: ${read.faults[0]!.path}: ${read.faults[0]!.message}`);
  if ((read.definition.registers ?? []).length === 0)
    throw new Refused(
      `${file}: $.registers: expected a register table; write one down with the control first`,
    );
  return read.definition;
}

async function main(argv: readonly string[]): Promise<void> {
  const { values } = parseArgs({
    args: [...argv],
    options: {
      controller: { type: 'string' },
      port: { type: 'string', default: '5020' },
      host: { type: 'string', default: '127.0.0.1' },
      unit: { type: 'string', default: '1' },
      speed: { type: 'string', default: '1' },
      fault: { type: 'string', multiple: true, default: [] },
      help: { type: 'boolean', default: false },
    },
  });
  if (values.help) return void process.stdout.write(USAGE);
  if (values.controller === undefined) throw new Refused('--controller: expected the file of a controller');
  const definition = definitionIn(values.controller);
  const troubles = readTroubles(definition, values.fault);
  if ('problem' in troubles) throw new Refused(`--fault: ${troubles.problem}`);
  const device = new StandInDevice(definition, new Map(), troubles.device);
  const serving = await serve(device, {
    host: values.host,
    port: whole('port', values.port, 0, 65535),
    unit: whole('unit', values.unit, 1, 247),
    speed: whole('speed', values.speed, 1, 3600),
    line: troubles.line,
  });
  process.stdout.write(
    `${definition.family} stands in at ${values.host}, port ${serving.port}, unit ${values.unit}; ${definition.registers!.length} registers. Ctrl-C ends it.\n`,
  );
  const end = () => void serving.close().then(() => process.exit(0));
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
}

main(process.argv.slice(2)).catch((error: unknown) => {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exit(2);
});
