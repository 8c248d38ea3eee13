import {
  displayOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
  type Register,
} from '../definitions/index.ts';
import { hangsOnUnit, registerOf, unitIsKnown } from './unit.ts';
import { codeValueOf } from './values.ts';

/** What a reading of all registers comes to: values by code as the display shows them, and what stands for nothing. */
export interface FoundOverBus {
  readonly values: CodeValues;
  readonly unread: readonly { readonly code: string; readonly why: string }[];
}

/**
 * Values of codes out of words off the wire. Options come first: whether the display stands in °C or °F is one of them, and numbers hang on it. Where that is not known, a number that
 * hangs on it is not told: it could be either.
 */
export function foundOf(
  definition: ControllerDefinition,
  wordsAt: ReadonlyMap<Register, readonly number[]>,
): FoundOverBus {
  const values = new Map<string, CodeValue>();
  const unread: { code: string; why: string }[] = [];
  const take = (numbers: boolean, display: DisplayState, unitKnown: boolean) => {
    for (const parameter of definition.parameters) {
      if ((parameter.encoding.type === 'number') !== numbers) continue;
      const register = registerOf(definition, parameter.code);
      const words = register && wordsAt.get(register);
      if (!register || !words) continue;
      if (!unitKnown && hangsOnUnit(register, parameter)) {
        unread.push({ code: parameter.code, why: UNIT_UNKNOWN });
        continue;
      }
      const value = codeValueOf(register, parameter, words, display);
      if (value !== null) values.set(parameter.code, value);
      else
        unread.push({
          code: parameter.code,
          why: `What its register holds (${words.join(', ')}) is no value of it.`,
        });
    }
  };
  take(false, { unit: 'degC', decimal: false }, true);
  take(true, displayOf(definition, values), unitIsKnown(definition, values));
  return { values, unread };
}

const UNIT_UNKNOWN = 'Whether the display stands in °C or °F was not read, and this number hangs on it.';
