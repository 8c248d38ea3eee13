import { unitSymbol } from '../../foundation/quantities/index.ts';
import {
  displayOf,
  followsDisplay,
  isVisible,
  parameterOf,
  sameCodeValue,
  writeFunctionOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
  type Register,
} from '../definitions/index.ts';
import { hangsOnUnit, registerOf, unitIsKnown } from './unit.ts';
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
  /** Codes that stand already as they shall. */
  readonly stood: readonly string[];
}

/**
 * Values that differ from those that stand, as writes in the order the controller wants: by `order`; without one, what sets the display first, then what hides other codes, then as the
 * table has them. Where the display changes, all numbers that are shown in it are written, since what a control makes of them then is its own. A number that would meet the display in
 * another unit than it is told in does not go over the bus.
 *
 * @param told how the display stands under which the wanted numbers are told
 */
export function writingOf(
  definition: ControllerDefinition,
  wanted: CodeValues,
  standing: CodeValues,
  told: DisplayState,
): BusWriting {
  const writes: BusWrite[] = [];
  const notOverTheBus: { code: string; why: string }[] = [];
  const stood: string[] = [];
  const before = displayOf(definition, standing);
  const changes = before.unit !== told.unit || before.decimal !== told.decimal;
  const after = new Map([...standing, ...wanted]);
  for (const [code, value] of wanted) {
    const old = standing.get(code) ?? null;
    const parameter = parameterOf(definition, code);
    const isShown = changes && parameter?.encoding.type === 'number' && followsDisplay(parameter.encoding);
    if (old !== null && sameCodeValue(old, value) && !isShown) {
      stood.push(code);
      continue;
    }
    const register = registerOf(definition, code);
    if (!parameter || !register) notOverTheBus.push({ code, why: 'it has no register' });
    else if (register.writable !== true || writeFunctionOf(register) === null)
      notOverTheBus.push({ code, why: 'its register is only read' });
    else if (!isVisible(definition, parameter, after))
      notOverTheBus.push({ code, why: 'the other values hide it' });
    else {
      const words = wordsOf(register, parameter, value, told);
      if (words === null) notOverTheBus.push({ code, why: 'its register cannot hold this value' });
      else writes.push({ code, register, old, value, words });
    }
  }
  // The display as it will stand: by what was read, and by what of it goes over the bus.
  const then = new Map([...standing, ...writes.map(({ code, value }) => [code, value] as const)]);
  const meets = unitIsKnown(definition, then) && displayOf(definition, then).unit === told.unit;
  const fits = ({ code, register }: BusWrite) =>
    meets || !hangsOnUnit(register, parameterOf(definition, code)!);
  for (const { code } of writes.filter((write) => !fits(write)))
    notOverTheBus.push({
      code,
      why: `it is told in ${unitSymbol(told.unit)}, and the display will not stand in that, or nobody knows`,
    });
  return { writes: writes.filter(fits).sort(byOrderOf(definition)), notOverTheBus, stood };
}

function byOrderOf(definition: ControllerDefinition): (a: BusWrite, b: BusWrite) => number {
  const masters = new Set(definition.parameters.flatMap(({ visibleWhen }) => visibleWhen?.code ?? []));
  /** What the booklet gives an order comes first. */
  const rank = ({ code, register }: BusWrite): number => {
    if (register.order !== undefined) return 0;
    const setting = parameterOf(definition, code)?.setting;
    if (setting === 'display.unit' || setting === 'display.decimal') return 1;
    return masters.has(code) ? 2 : 3;
  };
  const place = ({ register }: BusWrite) => register.order ?? definition.registers!.indexOf(register);
  return (a, b) => rank(a) - rank(b) || place(a) - place(b);
}
