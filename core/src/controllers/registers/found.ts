import {
  displayOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
  type Register,
} from '../definitions/index.ts';
import { codeValueOf } from './values.ts';

/** What a reading of all registers comes to: values by code as the display shows them, how the display stands, and what stands for nothing. */
export interface FoundOverBus {
  readonly values: CodeValues;
  readonly display: DisplayState;
  readonly unread: readonly { readonly code: string; readonly why: string }[];
}

/** Values of codes out of words off the wire. Options come first: whether the display stands in °C or °F is one of them, and numbers hang on it. */
export function foundOf(
  definition: ControllerDefinition,
  wordsAt: ReadonlyMap<Register, readonly number[]>,
): FoundOverBus {
  const values = new Map<string, CodeValue>();
  const unread: { code: string; why: string }[] = [];
  const take = (numbers: boolean, display: DisplayState) => {
    for (const parameter of definition.parameters) {
      if ((parameter.encoding.type === 'number') !== numbers) continue;
      const register = definition.registers?.find(({ code }) => code === parameter.code);
      const words = register && wordsAt.get(register);
      if (!register || !words) continue;
      const value = codeValueOf(register, parameter, words, display);
      if (value !== null) values.set(parameter.code, value);
      else
        unread.push({
          code: parameter.code,
          why: `what its register holds (${words.join(', ')}) is no value of it`,
        });
    }
  };
  take(false, { unit: 'degC', decimal: false });
  const display = displayOf(definition, values);
  take(true, display);
  return { values, display, unread };
}
