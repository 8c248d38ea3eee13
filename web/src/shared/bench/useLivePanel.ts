import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import {
  act,
  panelAtRest,
  shows,
  WrongAct,
  type Act,
  type Condition,
  type Machine,
  type PanelState,
} from '@brine/core/controllers/panel';
import type { CodeValues } from '@brine/core/controllers/definitions';
import { unitBehind, type AtTheUnit, type UnitBehind } from '@brine/core/practice/drills';
import { usePanelKeys } from './usePanelKeys.ts';

/** A stroke that was done, with the display after it. Waits stand in it too, so that a replay closes menus as they closed. */
export interface DoneStroke {
  readonly act: Act;
  readonly shows: string;
}

/** A panel under somebody's hands, in real time: what it holds and shows, its supply and switches, and the strokes done on it. */
export function useLivePanel(machine: Machine, begins: CodeValues) {
  const state = shallowRef<PanelState>(panelAtRest(machine, begins));
  const display = ref(shows(machine, state.value));
  const done = shallowRef<readonly DoneStroke[]>([]);
  /** Somebody else's hands are on it: a replay runs, keys do nothing. */
  const replaying = ref(false);

  /** The control's own machine and a box, behind the panel unless an exercise sets its own condition. */
  let unit: UnitBehind | null = null;
  /** Seconds at the unit for each second of the panel. */
  const pace = ref(1);
  const seen = shallowRef<{
    readonly reading: string;
    readonly coil: string;
    readonly unit: AtTheUnit;
    readonly relays: UnitBehind['outputs'];
  } | null>(null);

  function letPass(seconds: number): void {
    if (!unit || state.value.phase === 'off') return;
    state.value = unit.pass(state.value, seconds);
    seen.value = {
      reading: unit.reading(),
      coil: unit.reading('coil'),
      unit: unit.atTheUnit,
      relays: { ...unit.outputs },
    };
  }

  function perform(what: Act): void {
    try {
      const result = act(machine, state.value, what);
      state.value = result.state;
      display.value = shows(machine, result.state);
      // A deed is done by the control behind within the second.
      if (what.action !== 'wait') letPass(1);
      if (!replaying.value) note(what);
    } catch (error) {
      if (!(error instanceof WrongAct)) throw error;
    }
  }

  /** Seconds without a key add up to one wait; at rest they say nothing. */
  function note(what: Act): void {
    const last = done.value.at(-1);
    if (what.action !== 'wait') {
      done.value = [...done.value, { act: what, shows: display.value }];
    } else if (last?.act.action === 'wait') {
      const seconds = (last.act.seconds ?? 0) + (what.seconds ?? 0);
      done.value = [...done.value.slice(0, -1), { act: { ...last.act, seconds }, shows: display.value }];
    } else if (last && state.value.phase !== 'rest') {
      done.value = [...done.value, { act: what, shows: display.value }];
    } else if (last && last.shows !== display.value) {
      done.value = [...done.value, { act: what, shows: display.value }];
    }
  }

  const byHand = (what: Act) => {
    if (!replaying.value) perform(what);
  };
  const keys = usePanelKeys(machine, state, byHand);
  const clock = setInterval(() => {
    if (keys.down.value.length === 0) byHand({ action: 'wait', seconds: 1 });
    letPass(pace.value);
  }, 1000);
  onScopeDispose(() => clearInterval(clock));

  /** Puts a unit behind the panel, one that an exercise made or the one that fits its settings; false: none, the condition is the exercise's. */
  function attach(made: { readonly unit: UnitBehind; readonly state: PanelState } | boolean): void {
    pace.value = 1;
    if (typeof made === 'object') {
      unit = made.unit;
      state.value = made.state;
      done.value = [];
    } else unit = made ? unitBehind(machine.definition, state.value) : null;
    seen.value = null;
    letPass(0);
    display.value = shows(machine, state.value);
  }
  attach(true);

  function begin(values: CodeValues, condition?: Condition): void {
    attach(false);
    state.value = panelAtRest(machine, values, condition);
    display.value = shows(machine, state.value);
    if (!replaying.value) done.value = [];
  }

  return {
    state,
    display,
    done,
    /** Strokes without the waits between them. */
    strokes: computed(() => done.value.filter((stroke) => stroke.act.action !== 'wait')),
    replaying,
    perform,
    begin,
    attach,
    pace,
    goFaster: (times: number) => (pace.value = times),
    /** What is to be seen at the unit; null where none stands behind the panel. */
    seen,
    down: keys.down,
    heldSeconds: keys.heldSeconds,
    keyDown: keys.keyDown,
    keyUp: keys.keyUp,
    power: (to: 'on' | 'off') => byHand({ action: 'power', to }),
    moveSwitch: (id: string, to: string) => byHand({ action: 'switch', keys: [id], to }),
  };
}

export type LivePanel = ReturnType<typeof useLivePanel>;
