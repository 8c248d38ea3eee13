import { endWords, type Circuit } from '@brine/core/wiring/circuit';

/** Every terminal of a circuit with its words, supplies first. */
export function endChoices(
  circuit: Circuit,
  ends: readonly string[],
): readonly { id: string; words: string }[] {
  return ends.map((id) => ({
    id,
    words: `${id}${endWords(circuit, id) === id ? '' : ` · ${endWords(circuit, id)}`}`,
  }));
}

/** Names of states as a person reads them. */
export function stateWords(state: string): string {
  if (state === 'dead') return 'Dead, ohms';
  const words = state.charAt(0).toUpperCase() + state.slice(1);
  return state === 'off' ? 'Live, off' : words;
}
