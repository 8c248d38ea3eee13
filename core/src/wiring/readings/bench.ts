import {
  deadState,
  isFirm,
  isSettled,
  ohmsBetween,
  partAmps,
  settle,
  voltsBetween,
  type Effect,
  type Network,
  type Settled,
  type Unsettled,
} from '../solver/index.ts';
import { DEAD, type Place } from './place.ts';

/** A circuit on the bench: a network, sound or with a fault in it. */
export interface Tested {
  readonly network: Network;
  readonly effect: Effect;
}

/** A circuit with its states solved as they are asked for, and a meter to put on it. */
export class Bench {
  readonly tested: Tested;
  private readonly solved = new Map<string, Settled | Unsettled>();

  constructor(tested: Tested) {
    this.tested = tested;
  }

  /** The circuit in a state, or with its supplies off. */
  state(name: string): Settled | Unsettled {
    const known = this.solved.get(name);
    if (known) return known;
    const { network, effect } = this.tested;
    const { states } = network.circuit;
    const result =
      name === DEAD && !Object.hasOwn(states, DEAD)
        ? deadState(network, effect)
        : settle(network, { state: name, outputs: Object.hasOwn(states, name) ? states[name]! : [] }, effect);
    this.solved.set(name, result);
    return result;
  }

  /**
   * What can be relied on at a place: as {@link expect}, but 0 V for a point that hangs only on open contacts. Such a ghost voltage
   * depends on the meter, the damp and the length of the cable.
   */
  rely(place: Place): number {
    const s = this.state(place.state);
    if (!isSettled(s) || 'through' in place || place.state === DEAD) return this.expect(place);
    const { nodeOf } = this.tested.network;
    return isFirm(s, nodeOf.get(place.from)!, nodeOf.get(place.to)!) ? this.expect(place) : 0;
  }

  /** What the meter shows at a place; NaN where the state never comes to rest. */
  expect(place: Place): number {
    const s = this.state(place.state);
    if (!isSettled(s)) return NaN;
    const { network } = this.tested;
    if ('through' in place)
      return partAmps(
        s,
        network.parts.findIndex((p) => p.part.id === place.through),
      );
    const [a, b] = [network.nodeOf.get(place.from)!, network.nodeOf.get(place.to)!];
    return place.state === DEAD ? ohmsBetween(s, a, b) : voltsBetween(s, a, b);
  }
}
