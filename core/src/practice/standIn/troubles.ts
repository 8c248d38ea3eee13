import type { ControllerDefinition } from '../../controllers/definitions/index.ts';
import { parameterOf } from '../../controllers/definitions/index.ts';
import { faultKinds, type Fault, type FaultKind } from '../../machines/simulation/index.ts';
import { noTroubles, type DeviceTroubles } from './device.ts';

/** What goes wrong on the line itself. */
export interface LineTroubles {
  /** How long an answer takes, ms. */
  readonly slow: number;
  /** From which to which second of the clock it answers nothing. */
  readonly dead: readonly (readonly [number, number])[];
  /** Every so many requests it says that it is busy; 0: never. */
  readonly busyEvery: number;
  /** Every so many requests the connection breaks before the answer; 0: never. */
  readonly noiseEvery: number;
}

export const noLineTroubles: LineTroubles = { slow: 0, dead: [], busyEvery: 0, noiseEvery: 0 };

const FORMS = `slow=MS, dead=FROM-TO, busy=EVERY, noise=EVERY, locked, lock=CODE, clamp=CODE:LEAST:MOST, or a fault of the box (${faultKinds.join(', ')}), with =FROM-TO in seconds where it does not stand from the beginning`;

/** Reads what a stand-in shall do wrong; the sentence that refuses it where it is none. */
export function readTroubles(
  definition: ControllerDefinition,
  texts: readonly string[],
): { readonly device: DeviceTroubles; readonly line: LineTroubles } | { readonly problem: string } {
  let [device, line] = [noTroubles, noLineTroubles];
  for (const text of texts) {
    const [name, rest] = cut(text, '=');
    const refused = (why: string) => ({ problem: `“${text}”: ${why}` });
    const number = Number(rest);
    const isCount = rest !== '' && Number.isInteger(number) && number > 0;
    switch (name) {
      case 'slow':
        if (!isCount) return refused('expected milliseconds, such as slow=20');
        line = { ...line, slow: number };
        break;
      case 'busy':
      case 'noise':
        if (!isCount) return refused(`expected a whole number, such as ${name}=5`);
        line = { ...line, [`${name}Every`]: number };
        break;
      case 'dead': {
        const span = spanOf(rest);
        if (!span) return refused('expected seconds, such as dead=30-45');
        line = { ...line, dead: [...line.dead, span] };
        break;
      }
      case 'locked':
        device = { ...device, locked: true };
        break;
      case 'lock':
        if (!parameterOf(definition, rest)) return refused(`${rest} is no code of ${definition.family}`);
        device = { ...device, lockedCodes: [...device.lockedCodes, rest] };
        break;
      case 'clamp': {
        const [code, least, most] = rest.split(':');
        if (!parameterOf(definition, code ?? ''))
          return refused(`${code} is no code of ${definition.family}`);
        if (!least || !most || !(Number(least) <= Number(most)))
          return refused('expected the least and the most, such as clamp=SP:0:4');
        device = { ...device, clamps: new Map([...device.clamps, [code!, [Number(least), Number(most)]]]) };
        break;
      }
      default: {
        if (!faultKinds.includes(name as FaultKind)) return refused(`is unknown; expected ${FORMS}`);
        const span = rest === '' ? ([0, Infinity] as const) : spanOf(rest);
        if (!span) return refused(`expected seconds, such as ${name}=60-600`);
        const fault: Fault = { kind: name as FaultKind, from: span[0], to: span[1], amount: null };
        device = { ...device, box: [...device.box, fault] };
      }
    }
  }
  return { device, line };
}

function cut(text: string, at: string): readonly [string, string] {
  const place = text.indexOf(at);
  return place < 0 ? [text, ''] : [text.slice(0, place), text.slice(place + 1)];
}

function spanOf(text: string): readonly [number, number] | null {
  const [from, to, more] = text.split('-').map(Number);
  return more === undefined && from !== undefined && to !== undefined && from >= 0 && to > from
    ? [from, to]
    : null;
}
