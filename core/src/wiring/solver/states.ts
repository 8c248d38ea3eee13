import { settle, type Effect, type Settled, type Unsettled } from './settle.ts';
import type { Network } from './network.ts';

/** Every state of the circuit in file order. */
export function statesOf(network: Network, effect?: Effect): readonly (Settled | Unsettled)[] {
  return Object.entries(network.circuit.states).map(([state, outputs]) =>
    settle(network, { state, outputs }, effect),
  );
}

/** The circuit with its supplies off and nothing driven: what an ohmmeter finds. */
export function deadState(network: Network, effect?: Effect): Settled | Unsettled {
  return settle(network, { state: 'dead', outputs: [], dead: true }, effect);
}
