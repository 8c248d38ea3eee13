import { parseNumber } from '../../foundation/quantities/index.ts';
import type { ControllerDefinition, NumberEncoding, Parameter } from './definition.ts';
import { optionValue } from './codeValue.ts';
import { sameCodeValue } from './display.ts';

/** What a definition should say of a code, after the display of a real control showed something else than it says. */
export interface Correction {
  readonly code: string;
  readonly words: string;
  /** The parameter put right; the same one with a note where it is not clear what is wrong. */
  readonly parameter: Parameter;
}

/**
 * Proposes what to put right in a definition, where a value was keyed and the display showed another: the end of a range that stopped it, an option that the definition
 * has not. What explains nothing becomes a note; so does a range in the display's own degrees, since which those were is not known here.
 *
 * @param shown what the display showed
 * @param wished what was to be keyed, as the display would show it
 */
export function proposedCorrection(parameter: Parameter, wished: string, shown: string): Correction {
  const { code, encoding } = parameter;
  const noted = (): Correction => ({
    code,
    words: `note that the display showed ${shown} where ${wished} was keyed`,
    parameter: {
      ...parameter,
      note: [parameter.note, `A display showed ${shown} where ${wished} was keyed.`]
        .filter(Boolean)
        .join(' '),
    },
  });
  if (encoding.type === 'choice') {
    if (encoding.options.some((option) => sameCodeValue(option.value, shown))) return noted();
    return {
      code,
      words: `add the option ${shown}; say what it stands for`,
      parameter: {
        ...parameter,
        encoding: { ...encoding, options: [...encoding.options, { value: optionValue(shown) }] },
      },
    };
  }
  const [want, have] = [parseNumber(wished), parseNumber(shown)];
  if (encoding.type !== 'number' || want === null || have === null || followsDegrees(encoding))
    return noted();
  const change = (words: string, part: Partial<typeof encoding>): Correction => ({
    code,
    words,
    parameter: { ...parameter, encoding: { ...encoding, ...part } },
  });
  if (have > encoding.max)
    return change(`raise its greatest value from ${encoding.max} to ${have}`, { max: have });
  if (have < encoding.min)
    return change(`lower its least value from ${encoding.min} to ${have}`, { min: have });
  // It went as far as it could.
  if (want > have && have >= encoding.default && want <= encoding.max)
    return change(`lower its greatest value from ${encoding.max} to ${have}`, { max: have });
  if (want < have && have <= encoding.default && want >= encoding.min)
    return change(`raise its least value from ${encoding.min} to ${have}`, { min: have });
  return noted();
}

const followsDegrees = ({ unit }: NumberEncoding) =>
  unit === 'displayTemperature' || unit === 'displayDifference';

/** A definition with a correction taken over, as a version of its own. */
export function corrected(
  definition: ControllerDefinition,
  { parameter }: Correction,
  version: string,
): ControllerDefinition {
  return {
    ...definition,
    version,
    parameters: definition.parameters.map((one) => (one.code === parameter.code ? parameter : one)),
  };
}
