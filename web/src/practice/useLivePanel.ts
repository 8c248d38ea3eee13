import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import {
  act,
  panelAtRest,
  shows,
  WrongAct,
  type Act,
  type Machine,
  type PanelState,
} from '@brine/core/panel';
import type { CodeValues } from '@brine/core/controllers';

/** A stroke that was done, with the display after it. */
export interface DoneStroke {
  readonly act: Act;
  readonly shows: string;
}

const REPEAT_AFTER_MS = 700;
const REPEAT_EVERY_MS = 130;

/**
 * A panel under somebody's hands, in real time: keys go down and up, together or one while another is held; holds count their seconds; keys held
 * in an edit repeat; a menu closes by itself.
 */
export function useLivePanel(machine: Machine, begins: CodeValues) {
  const state = shallowRef<PanelState>(panelAtRest(machine, begins));
  const display = ref(shows(machine, state.value));
  const done = shallowRef<readonly DoneStroke[]>([]);
  const down = ref<readonly string[]>([]);
  const heldSeconds = ref(0);
  /** Every key of the stroke that is being made, and since when all of them are down. */
  let stroke: string[] = [];
  let since = 0;
  let spent = false;
  /** A key that turns under the hand key, if it is let go soon. */
  let turning: string | null = null;
  let repeating: ReturnType<typeof setTimeout> | undefined;

  function perform(what: Act): void {
    try {
      const result = act(machine, state.value, what);
      state.value = result.state;
      display.value = shows(machine, result.state);
      if (what.action !== 'wait') done.value = [...done.value, { act: what, shows: display.value }];
    } catch (error) {
      if (!(error instanceof WrongAct)) throw error;
    }
  }

  const menu = computed(() => (state.value.menu === null ? null : machine.menus.get(state.value.menu)!));
  const holdingKey = () => {
    const edit = menu.value?.edit;
    return edit?.starts === 'holding' ? edit.holding : undefined;
  };

  function keyDown(key: string): void {
    if (down.value.includes(key)) return;
    down.value = [...down.value, key];
    const hand = holdingKey();
    if (hand !== undefined && key !== hand && down.value.includes(hand) && state.value.menu !== null) {
      const turns = [menu.value?.edit?.more, menu.value?.edit?.less].includes(key);
      if (turns && !leavesBy(hand, key)) {
        spent = true;
        press(key, hand);
        repeat(key, hand);
        return;
      }
      if (turns) {
        // The same two keys held leave the menu: what it is shows when one is let go.
        turning = key;
        stroke = [hand, key];
        since = performance.now();
        spent = false;
        return;
      }
    }
    stroke = [...down.value];
    since = performance.now();
    spent = false;
    heldSeconds.value = 0;
    if (stroke.length === 1 && turnsNow(key)) {
      spent = true;
      press(key);
      repeat(key);
    }
  }

  function keyUp(key: string): void {
    if (!down.value.includes(key)) return;
    stopRepeating();
    const seconds = (performance.now() - since) / 1000;
    down.value = down.value.filter((k) => k !== key);
    const hand = holdingKey() ?? state.value.holding;
    if (turning === key && hand && seconds < 1) {
      turning = null;
      spent = true;
      press(key, hand);
      return;
    }
    turning = null;
    if (key === hand && state.value.holding === hand) perform({ action: 'wait', seconds: 0 });
    if (down.value.length > 0 && stroke.length > 1 && !spent) {
      spent = true;
      together(stroke, seconds);
    } else if (down.value.length === 0 && !spent) together(stroke, seconds);
    if (down.value.length === 0) heldSeconds.value = 0;
  }

  function together(keys: readonly string[], seconds: number): void {
    if (keys.length > 1)
      perform({ action: 'chord', keys, ...(seconds >= 1 && { seconds: Math.floor(seconds * 10) / 10 }) });
    else if (seconds < 1) perform({ action: 'press', keys });
    else perform({ action: 'hold', keys, seconds: Math.floor(seconds * 10) / 10 });
  }

  function press(key: string, hand?: string): void {
    perform({ action: 'press', keys: [key], ...(hand !== undefined && { holding: [hand], keep: true }) });
  }

  /** Keys that turn a value act at once and repeat, as on a real panel; in the list they wait for what they will be. */
  function turnsNow(key: string): boolean {
    const edit = menu.value?.edit;
    return state.value.phase === 'edit' && (key === edit?.more || key === edit?.less);
  }

  function leavesBy(hand: string, key: string): boolean {
    const pair = [hand, key];
    return (menu.value?.leave ?? []).some(
      (rule) => 'press' in rule && Array.isArray(rule.press) && pair.every((k) => rule.press.includes(k)),
    );
  }

  function repeat(key: string, hand?: string): void {
    repeating = setTimeout(() => {
      press(key, hand);
      repeating = setInterval(() => press(key, hand), REPEAT_EVERY_MS);
    }, REPEAT_AFTER_MS);
  }

  function stopRepeating(): void {
    clearTimeout(repeating);
    clearInterval(repeating);
  }

  const clock = setInterval(() => {
    if (down.value.length > 0) heldSeconds.value = Math.floor((performance.now() - since) / 1000);
    else perform({ action: 'wait', seconds: 1 });
  }, 1000);
  onBeforeUnmount(() => {
    clearInterval(clock);
    stopRepeating();
  });

  function power(to: 'on' | 'off'): void {
    perform({ action: 'power', to });
  }

  function moveSwitch(id: string, to: string): void {
    perform({ action: 'switch', keys: [id], to });
  }

  function begin(values: CodeValues): void {
    state.value = panelAtRest(machine, values);
    display.value = shows(machine, state.value);
    done.value = [];
  }

  return { state, display, done, down, heldSeconds, keyDown, keyUp, power, moveSwitch, begin };
}

export type LivePanel = ReturnType<typeof useLivePanel>;
