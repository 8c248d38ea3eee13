import type { CodeValues } from '../definitions/index.ts';
import { fullMemory } from '../definitions/index.ts';
import { afterDeed, atEase, type Condition } from './condition.ts';
import { strokeOf, type Act, type Stroke } from './act.ts';
import { follow, stillFollowing } from './entering.ts';
import { holdDown, inMenu, letGo, openMenu, answer, timeOut, turned } from './menu.ts';
import { menuOf, nothingOpen, type Machine, type PanelState } from './machine.ts';
import { toRest } from './memory.ts';
import { shows } from './shows.ts';

/** An act that this panel cannot be given: an unknown key, a switch that must not be moved now. */
export class WrongAct extends Error {}

/** What an act came to: the state after it, and what stood on the display (while a key is held: before it was let go). */
export interface Acted {
  readonly state: PanelState;
  readonly shows: string;
}

/** A panel at rest with the supply on, its switches normal; codes not given stand at their default. */
export function panelAtRest(
  machine: Machine,
  values: CodeValues = new Map(),
  condition: Condition = atEase,
): PanelState {
  return {
    ...nothingOpen,
    memory: fullMemory(machine.definition, values),
    switches: new Map((machine.panel.switches ?? []).map((s) => [s.id, s.normal])),
    message: null,
    deeds: [],
    condition,
  };
}

/**
 * Does one act. Time passes only in `wait`: an act takes none but what it says, and any act other than `wait` starts the count of a
 * time-out anew. Throws {@link WrongAct} for what the panel has not.
 */
export function act(machine: Machine, before: PanelState, what: Act): Acted {
  let state = before;
  const held = what.action === 'press' ? (what.holding?.[0] ?? null) : null;
  if (state.holding !== null && state.holding !== held) state = letGo(machine, state);
  if (what.action === 'wait') return shown(machine, wait(machine, state, what.seconds ?? 0));
  if (state.message !== null) state = { ...state, message: null };
  if (state.idle !== 0) state = { ...state, idle: 0 };
  if (what.action === 'power') return shown(machine, power(machine, state, what.to === 'off'));
  if (what.action === 'switch') return shown(machine, moveSwitch(machine, state, what));
  for (const key of [...(what.keys ?? []), ...(what.holding ?? [])])
    if (!machine.panel.keys.some((k) => k.id === key)) throw new WrongAct(`this panel has no key ${key}`);
  if (held !== null && state.holding === null) state = holdDown(machine, state, held);
  const stroke = strokeOf(what);
  const times = what.action === 'press' ? (what.times ?? 1) : 1;
  for (let i = 0; i < times; i += 1) {
    // Once a value is under edit, the keys that turn it do nothing else.
    const all = state.phase === 'edit' && times - i > 1 ? turned(machine, state, stroke, times - i) : null;
    if (all !== null) {
      state = all;
      break;
    }
    state = strike(machine, state, stroke);
  }
  const result = shown(machine, state);
  return held !== null && !what.keep ? { state: letGo(machine, state), shows: result.shows } : result;
}

function shown(machine: Machine, state: PanelState): Acted {
  return { state, shows: shows(machine, state) };
}

function strike(machine: Machine, state: PanelState, stroke: Stroke): PanelState {
  switch (state.phase) {
    case 'off':
    case 'busy':
      return state;
    case 'ask':
      return answer(machine, state, stroke);
    case 'list':
    case 'edit':
      return inMenu(machine, state, stroke);
    case 'rest':
    case 'entering':
      return enter(machine, state, stroke);
  }
}

function enter(machine: Machine, state: PanelState, stroke: Stroke): PanelState {
  // A key of the holding style that is down at rest belongs to no gesture.
  if (state.holding !== null) return toRest(state);
  const next = follow(machine, state, stroke);
  if (next.kind === 'following') return { ...state, phase: 'entering', following: next.following };
  const paged = { ...state, condition: { ...state.condition, page: null } };
  if (next.kind === 'rest') return toRest(paged);
  if (next.kind === 'menu') return openMenu(machine, toRest(paged), machine.panel.menus[next.index]!);
  const deed = machine.panel.deeds![next.index]!;
  const condition = afterDeed(deed.does, state.condition);
  return {
    ...toRest(state),
    message: condition.page ?? deed.shows ?? null,
    deeds: [...state.deeds, deed.does],
    condition,
  };
}

function wait(machine: Machine, state: PanelState, seconds: number): PanelState {
  if (state.phase === 'busy') {
    if (seconds < state.busy) return { ...state, busy: state.busy - seconds };
    const rest = seconds - state.busy;
    return wait(machine, openMenu(machine, state, menuOf(machine, state), true), rest);
  }
  const idle = state.idle + seconds;
  if (state.phase === 'entering') {
    const following = stillFollowing(machine, state, idle);
    return following.length > 0 ? { ...state, following, idle } : toRest(state);
  }
  if (state.phase !== 'list' && state.phase !== 'edit' && state.phase !== 'ask') return { ...state, idle };
  const limit = menuOf(machine, state).timeOut;
  return limit && idle >= limit.seconds
    ? timeOut(machine, state, limit.keeps ?? 'taken')
    : { ...state, idle };
}

function power(machine: Machine, state: PanelState, off: boolean): PanelState {
  if (!off) return state.phase === 'off' ? { ...toRest(state), phase: 'rest' } : state;
  if (state.phase === 'off') return state;
  const closed =
    state.phase === 'list' || state.phase === 'edit' ? inMenu(machine, state, 'powerOff') : toRest(state);
  return { ...closed, phase: 'off' };
}

function moveSwitch(machine: Machine, state: PanelState, what: Act): PanelState {
  const id = what.keys?.[0] ?? '';
  const found = machine.panel.switches?.find((s) => s.id === id);
  if (!found) throw new WrongAct(`this panel has no switch ${id}`);
  if (what.to === undefined || !found.positions.includes(what.to))
    throw new WrongAct(`the switch ${id} has no position ${what.to ?? '(none said)'}`);
  if (found.movedWith === 'powerOff' && state.phase !== 'off')
    throw new WrongAct(`the switch ${id} is moved only with the supply off`);
  const moved = { ...state, switches: new Map(state.switches).set(id, what.to) };
  return state.phase === 'entering' ? toRest(moved) : moved;
}
