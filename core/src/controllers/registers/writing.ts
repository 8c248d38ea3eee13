import {
  displayOf,
  followsDisplay,
  isVisible,
  parameterOf,
  sameCodeValue,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type Register,
} from '../definitions/index.ts';
import { writeFunctionOf } from './functions.ts';
import { wordsOf } from './values.ts';

/** One value to be written: what stood there, what shall, and the words of it. */
export interface BusWrite {
  readonly code: string;
  readonly register: Register;
  readonly old: CodeValue | null;
  readonly value: CodeValue;
  readonly words: readonly number[];
}

/** What a list of values comes to on a bus: what is written, in the controller's order, and what has to be keyed, with why. */
export interface BusWriting {
  readonly writes: readonly BusWrite[];
  readonly notOverTheBus: readonly { readonly code: string; readonly why: string }[];
}

/**
 * Values that differ from those that stand, as writes in the order the controller wants: by `order`; without one, what sets the display first, then what hides other codes, then as the
 * table has them. Numbers are told as the display will stand; where it changes, all that are shown in it are written, since what a control makes of them then is its own.
 */
export function writingOf(
  definition: ControllerDefinition,
  wanted: CodeValues,
  standing: CodeValues,
): BusWriting {
  const writes: BusWrite[] = [];
  const notOverTheBus: { code: string; why: string }[] = [];
  const after = new Map([...standing, ...wanted]);
  const [before, display] = [displayOf(definition, standing), displayOf(definition, after)];
  const changes = before.unit !== display.unit || before.decimal !== display.decimal;
  for (const [code, value] of wanted) {
    const old = standing.get(code) ?? null;
    const parameter = parameterOf(definition, code);
    const isShown = changes && parameter?.encoding.type === 'number' && followsDisplay(parameter.encoding);
    if (old !== null && sameCodeValue(old, value) && !isShown) continue;
    const register = definition.registers?.find((one) => one.code === code);
    if (!parameter || !register) notOverTheBus.push({ code, why: 'it has no register' });
    else if (register.writable !== true || writeFunctionOf(register) === null)
      notOverTheBus.push({ code, why: 'its register is only read' });
    else if (!isVisible(definition, parameter, after))
      notOverTheBus.push({ code, why: 'the other values hide it' });
    else {
      const words = wordsOf(register, parameter, value, display);
      if (words === null) notOverTheBus.push({ code, why: 'its register cannot hold this value' });
      else writes.push({ code, register, old, value, words });
    }
  }
  const masters = new Set(definition.parameters.flatMap(({ visibleWhen }) => visibleWhen?.code ?? []));
  const place = ({ code, register }: BusWrite): number => {
    const at = definition.registers!.indexOf(register);
    if (register.order !== undefined) return register.order;
    const setting = parameterOf(definition, code)?.setting;
    if (setting === 'display.unit' || setting === 'display.decimal') return 1e6 + at;
    return (masters.has(code) ? 2e6 : 3e6) + at;
  };
  return { writes: writes.sort((a, b) => place(a) - place(b)), notOverTheBus };
}
