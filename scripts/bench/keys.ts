import { readdirSync, readFileSync } from 'node:fs';
import { machineOf, planKeys, type Wish } from '@brine/core/controllers/panel';
import type { ControllerDefinition, Parameter } from '@brine/core/controllers/definitions';

const folder = new URL('../../demo/controllers/', import.meta.url);
const LONGEST_MS = 50;
const RUNS = 5;

/** The longest that key strokes for all codes of a demo family take, each at the end of its range that is farther away. */
export function keyBounds() {
  let worst = { family: '', took: 0 };
  for (const file of readdirSync(folder)) {
    const definition = JSON.parse(readFileSync(new URL(file, folder), 'utf8')) as ControllerDefinition;
    const machine = machineOf(definition);
    if (!machine) continue;
    const wishes = definition.parameters
      .flatMap((parameter) => farthest(parameter))
      .filter((wish) => isPlanned(() => planKeys(machine, new Map(), [wish])));
    if (!isPlanned(() => planKeys(machine, new Map(), wishes)))
      throw new Error(`${definition.family}: its ${wishes.length} codes are not planned together`);
    let took = Number.POSITIVE_INFINITY;
    for (let i = 0; i < RUNS; i += 1) {
      const began = performance.now();
      planKeys(machine, new Map(), wishes);
      took = Math.min(took, performance.now() - began);
    }
    if (took > worst.took) worst = { family: `${definition.family}, ${wishes.length} codes`, took };
  }
  return [
    { name: `keys for all codes (${worst.family})`, measured: worst.took, bound: LONGEST_MS, unit: 'ms' },
  ];
}

/** The value farthest from where a code stands by default. The unit of the display stays: the other codes are said in it. */
function farthest({ code, encoding }: Parameter): readonly Wish[] {
  if (encoding.type === 'number') {
    const { min, max, default: usual } = encoding;
    return [{ code, value: max - usual > usual - min ? max : min }];
  }
  if (encoding.type !== 'choice' || JSON.stringify(encoding).includes('ahrenheit')) return [];
  return [{ code, value: encoding.options.at(-1)!.value }];
}

function isPlanned(plan: () => unknown): boolean {
  try {
    plan();
    return true;
  } catch {
    return false;
  }
}
