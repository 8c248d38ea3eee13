import type { ControllerDefinition } from '../definitions/index.ts';
import { impliedBy } from './implied.ts';

/** Parts of a control that its booklet may state, as they are called where one of them is missing. */
const parts = [
  ['supply', 'supply'],
  ['relays', 'relays'],
  ['probes', 'probe inputs'],
  ['inputs', 'inputs for a contact'],
  ['cutOut', 'the hole in the panel'],
  ['alarmCodes', 'alarm codes'],
  ['panel', 'keys'],
] as const satisfies readonly (readonly [keyof ControllerDefinition, string])[];

/** What nobody stated of a control, in words: parts that the definition leaves out, and how many facts are only deduced. */
export function notStated(definition: ControllerDefinition): readonly string[] {
  const missing = parts.flatMap(([part, words]) => (definition[part] === undefined ? [words] : []));
  const deduced = impliedBy(definition).length;
  return deduced === 0
    ? missing
    : [...missing, `${deduced} built-in ${deduced === 1 ? 'fact is' : 'facts are'} only deduced`];
}
