import type { ControllerDefinition, Parameter, Register } from '@brine/core/controllers/definitions';
import { noLineTroubles, noTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { readFound, readReadings } from '@brine/bus/exchange';
import { Line } from '@brine/bus/line';
import { serve, type Serving } from '@brine/bus/standIn';

/** How long a device takes for each answer, ms. */
const SLOW = 20;
const REGISTERS = 100;
/** A stretch of so many registers, then a gap that no request bridges. */
const STRETCH = 25;
const GAP = 60;
const LINES = 5;
const SECONDS = 15;

/** A control with nothing but codes: a hundred of them, in stretches as a booklet has its menus. */
function hundredCodes(): ControllerDefinition {
  const all = Array.from({ length: REGISTERS }, (_, i) => i);
  return {
    format: 'brine-dial/controller@1',
    id: 'hundred',
    family: 'Hundred',
    version: '1',
    parameters: all.map((i): Parameter => ({
      code: `c${i}`,
      name: `Code ${i}`,
      encoding: { type: 'number', unit: 'none', min: 0, max: 999, default: i },
    })),
    registers: all.map((i): Register => ({
      code: `c${i}`,
      function: 3,
      address: i + Math.floor(i / STRETCH) * GAP,
      type: 'uint16',
      writable: true,
    })),
  } as ControllerDefinition;
}

const served = (definition: ControllerDefinition): Promise<Serving> =>
  serve(new StandInDevice(definition, new Map(), noTroubles), {
    host: '127.0.0.1',
    port: 0,
    unit: 1,
    speed: 1,
    line: { ...noLineTroubles, slow: SLOW },
  });

/** What an issue asked of lines: a hundred registers in two seconds from a device that takes 20 ms for each answer, in few requests; five lines at one second. */
export async function lineBounds(follows: ControllerDefinition) {
  const hundred = hundredCodes();
  const serving = await served(hundred);
  const line = new Line({ host: '127.0.0.1', port: serving.port, kind: 'tcp' });
  const began = performance.now();
  const { values, requests } = await readFound(line, 1, hundred);
  const took = performance.now() - began;
  line.close();
  await serving.close();
  if (values.size !== REGISTERS) throw new Error(`${values.size} of ${REGISTERS} values were read`);

  const five = await Promise.all(Array.from({ length: LINES }, () => served(follows)));
  let latest = 0;
  await Promise.all(
    five.map(async ({ port }) => {
      const own = new Line({ host: '127.0.0.1', port, kind: 'tcp' });
      const start = performance.now();
      for (let second = 1; second <= SECONDS; second += 1) {
        await readReadings(own, 1, follows);
        const due = start + second * 1000 - performance.now();
        latest = Math.max(latest, -due);
        await new Promise((done) => setTimeout(done, Math.max(0, due)));
      }
      own.close();
    }),
  );
  await Promise.all(five.map((one) => one.close()));
  return [
    { name: '100 registers, 20 ms an answer', measured: took, bound: 2000, unit: 'ms' },
    { name: 'requests for them', measured: requests, bound: 2 * Math.ceil(REGISTERS / STRETCH), unit: '' },
    { name: `${LINES} lines at one second, latest look`, measured: latest, bound: 1000, unit: 'ms late' },
  ];
}
