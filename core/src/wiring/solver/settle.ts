import { factor, solve, type Factored } from './elimination.ts';
import { MOST_ROUNDS, PULL_IN } from './constants.ts';
import { CLOSED, LEAK, OPEN, SUPPLY, type Network, type Placed } from './network.ts';

/** What a fault does to a network without rebuilding it. */
export interface Effect {
  /** Branches with another conductance, in siemens. */
  readonly siemens?: ReadonlyMap<number, number>;
  /** Contacts and contactors that no longer move, by part index: stuck made, or stuck at rest. */
  readonly stuck?: ReadonlyMap<number, 'made' | 'rest'>;
  /** Controls that drive nothing, by part index. */
  readonly dead?: ReadonlySet<number>;
  /** Supplies, by index: open (10 MΩ behind them), or at a share of their volts. */
  readonly sources?: ReadonlyMap<number, { readonly open?: boolean; readonly share?: number }>;
}

/** What is asked of a circuit: the outputs that are on, and the name by which switches know the state. */
export interface Asked {
  readonly state: string;
  readonly outputs: readonly string[];
  /** True with every supply taken off: for readings in ohms. */
  readonly dead?: boolean;
  /** Switches taken as closed whatever the state says, by part index. */
  readonly closeSwitches?: ReadonlySet<number>;
  /** Switches taken as open whatever the state says, by part index. */
  readonly openSwitches?: ReadonlySet<number>;
}

/** A fuse that opened, with the amps that opened it. */
export interface Blown {
  readonly part: number;
  readonly amps: number;
}

/** A circuit at rest in one state. */
export interface Settled {
  readonly network: Network;
  readonly asked: Asked;
  readonly effect: Effect;
  readonly re: Float64Array;
  readonly im: Float64Array;
  /** Siemens of every branch as it stands. */
  readonly yRe: Float64Array;
  readonly yIm: Float64Array;
  readonly factored: Factored;
  /** Controls supplied, contactors in, contacts driven: by part index. */
  readonly controlOn: ReadonlySet<number>;
  readonly contactorIn: ReadonlySet<number>;
  readonly driven: ReadonlySet<number>;
  readonly blown: readonly Blown[];
  /** Node volts before any fuse opened; the same arrays where none did. */
  readonly before: { readonly re: Float64Array; readonly im: Float64Array };
}

/** A circuit that clicks without end: two things switch each other off. */
export interface Unsettled {
  readonly unsettled: true;
  readonly state: string;
  /** Parts that were still changing. */
  readonly parts: readonly string[];
}

const none: Effect = {};
const nobody: ReadonlySet<number> = new Set();

/**
 * Solves one state: no control supplied and no contactor in at first, repeated until nothing changes; then the fuse most over its amps
 * opens, and everything again. Unsettled after 50 rounds, unless a fuse is over its amps in one of them: then that fuse opens.
 */
export function settle(network: Network, asked: Asked, effect: Effect = none): Settled | Unsettled {
  const blown: Blown[] = [];
  const open = new Set<number>();
  let before: Settled['before'] | null = null;
  for (;;) {
    const result = click(network, asked, effect, open);
    if ('unsettled' in result && !result.over) return result;
    // A relay that chatters onto a short does not chatter for long: the fuse ends it.
    const at = 'unsettled' in result ? result.over!.at : result;
    before ??= { re: at.re, im: at.im };
    const worst = 'unsettled' in result ? result.over!.fuse : worstFuse(result, open);
    if (worst === null) return { ...(result as Round), blown, before };
    blown.push(worst);
    open.add(worst.part);
  }
}

/** True for a circuit that came to rest. */
export function isSettled(result: Settled | Unsettled): result is Settled {
  return !('unsettled' in result);
}

type Round = Omit<Settled, 'blown' | 'before'>;

/** A circuit that clicks without end, with the fuse most over its amps in any of its rounds. */
interface Chatter extends Unsettled {
  readonly over: { readonly at: Round; readonly fuse: Blown } | null;
}

function click(
  network: Network,
  asked: Asked,
  effect: Effect,
  openFuses: ReadonlySet<number>,
): Round | Chatter {
  let over: Chatter['over'] = null;
  let controlOn: ReadonlySet<number> = nobody;
  let contactorIn: ReadonlySet<number> = nobody;
  let changed: string[] = [];
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const driven = drivenContacts(network, asked, effect, controlOn);
    const { yRe, yIm } = admittances(network, asked, effect, driven, contactorIn, openFuses);
    const { factored, re, im } = volts(network, asked, effect, yRe, yIm);
    const nextControls = new Set<number>();
    const nextContactors = new Set<number>();
    for (const placed of network.parts) {
      const { part, index } = placed;
      if (part.kind === 'control') {
        if (across(placed, re, im) >= PULL_IN * part.ratedVolts) nextControls.add(index);
      } else if (part.kind === 'contactor' && across(placed, re, im) >= PULL_IN * part.coilVolts)
        nextContactors.add(index);
    }
    changed = [...difference(controlOn, nextControls), ...difference(contactorIn, nextContactors)].map(
      (index) => network.parts[index]!.part.id,
    );
    const here: Round = {
      network,
      asked,
      effect,
      re,
      im,
      yRe,
      yIm,
      factored,
      controlOn,
      contactorIn,
      driven,
    };
    if (changed.length === 0) return here;
    const fuse = worstFuse(here, openFuses);
    if (fuse && fuse.amps > (over?.fuse.amps ?? 0)) over = { at: here, fuse };
    controlOn = nextControls;
    contactorIn = nextContactors;
  }
  return { unsettled: true, state: asked.state, parts: changed, over };
}

function drivenContacts(
  network: Network,
  asked: Asked,
  effect: Effect,
  controlOn: ReadonlySet<number>,
): ReadonlySet<number> {
  const driven = new Set<number>();
  for (const { part, index } of network.parts) {
    if (part.kind !== 'contact') continue;
    const owner = network.ownerOf.get(index);
    const able = owner === undefined || (controlOn.has(owner) && !effect.dead?.has(owner));
    if (able && !asked.dead && asked.outputs.includes(part.drivenBy)) driven.add(index);
  }
  return driven;
}

function admittances(
  network: Network,
  asked: Asked,
  effect: Effect,
  driven: ReadonlySet<number>,
  contactorIn: ReadonlySet<number>,
  openFuses: ReadonlySet<number>,
): { readonly yRe: Float64Array; readonly yIm: Float64Array } {
  const { branches } = network;
  const yRe = new Float64Array(branches.length);
  const yIm = new Float64Array(branches.length);
  for (let i = 0; i < branches.length; i += 1) {
    const branch = branches[i]!;
    const changed = effect.siemens?.get(i);
    if (changed !== undefined) yRe[i] = changed;
    else if (branch.kind === 'make' || branch.kind === 'break' || branch.kind === 'pole') {
      const stuck = effect.stuck?.get(branch.owner);
      const made =
        stuck === undefined ? driven.has(branch.owner) || contactorIn.has(branch.owner) : stuck === 'made';
      yRe[i] = made === (branch.kind !== 'break') ? CLOSED : OPEN;
    } else if (branch.kind === 'fuse') yRe[i] = openFuses.has(branch.owner) ? OPEN : CLOSED;
    else if (branch.kind === 'switch') yRe[i] = isClosed(network, branch.owner, asked) ? CLOSED : OPEN;
    else {
      yRe[i] = branch.re;
      yIm[i] = branch.im;
    }
  }
  return { yRe, yIm };
}

/** With the supplies off a switch stands as in the state in which nothing is driven, unless it names `dead` itself. */
function isClosed(network: Network, index: number, asked: Asked): boolean {
  const { part } = network.parts[index]!;
  if (part.kind !== 'switch') return false;
  if (asked.openSwitches?.has(index)) return false;
  if (asked.closeSwitches?.has(index)) return true;
  if (part.closedIn.includes(asked.state)) return true;
  if (!asked.dead) return false;
  const { states } = network.circuit;
  const rest = Object.keys(states).find((state) => states[state]!.length === 0);
  return rest !== undefined && part.closedIn.includes(rest);
}

function volts(network: Network, asked: Asked, effect: Effect, yRe: Float64Array, yIm: Float64Array) {
  const count = network.nodes.length;
  const earth = new Float64Array(count);
  const jRe = new Float64Array(count);
  const jIm = new Float64Array(count);
  network.sources.forEach((source, i) => {
    const change = effect.sources?.get(i);
    if (asked.dead) return;
    const behind = change?.open ? OPEN : SUPPLY;
    const share = change?.share ?? 1;
    earth[source.node]! += behind;
    jRe[source.node]! += behind * share * source.re;
    jIm[source.node]! += behind * share * source.im;
  });
  for (const node of network.leaks) earth[node]! += LEAK;
  const factored = factor(network.elimination, yRe, yIm, earth);
  return { factored, ...solve(factored, jRe, jIm) };
}

/** Volts between the two ends of a control's or coil's branch. */
function across(placed: Placed, re: Float64Array, im: Float64Array): number {
  const [a, b] = placed.nodes;
  return Math.hypot(re[a!]! - re[b!]!, im[a!]! - im[b!]!);
}

/** Amps through one branch. */
export function branchAmps(
  s: Pick<Settled, 'network' | 're' | 'im' | 'yRe' | 'yIm'>,
  branch: number,
): number {
  const { a, b } = s.network.branches[branch]!;
  const volts = Math.hypot(s.re[a]! - s.re[b]!, s.im[a]! - s.im[b]!);
  return volts * Math.hypot(s.yRe[branch]!, s.yIm[branch]!);
}

function worstFuse(s: Round, open: ReadonlySet<number>): Blown | null {
  let worst: Blown | null = null;
  let most = 1;
  for (const { part, index, branch } of s.network.parts) {
    if (part.kind !== 'fuse' || open.has(index)) continue;
    const amps = branchAmps(s, branch);
    if (amps / part.amps <= most) continue;
    most = amps / part.amps;
    worst = { part: index, amps };
  }
  return worst;
}

function difference(a: ReadonlySet<number>, b: ReadonlySet<number>): readonly number[] {
  return [...[...a].filter((x) => !b.has(x)), ...[...b].filter((x) => !a.has(x))];
}
