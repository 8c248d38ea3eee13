import { computed, onScopeDispose, ref, type ShallowRef } from 'vue';
import type { Act, Machine, PanelState } from '@brine/core/controllers/panel';

const REPEAT_AFTER_MS = 700;
const REPEAT_EVERY_MS = 130;

/**
 * Turns keys going down and up into acts: short presses, holds with their seconds, several together, one while another is held; keys held in
 * an edit repeat.
 */
export function usePanelKeys(machine: Machine, state: ShallowRef<PanelState>, perform: (what: Act) => void) {
  const down = ref<readonly string[]>([]);
  const heldSeconds = ref(0);
  /** Every key of the stroke that is being made, and since when all of them are down. */
  let stroke: string[] = [];
  let since = 0;
  let spent = false;
  /** A key that turns under the hand key, if it is let go soon. */
  let turning: string | null = null;
  let repeating: ReturnType<typeof setTimeout> | undefined;

  const menu = computed(() => (state.value.menu === null ? null : machine.menus.get(state.value.menu)!));
  const holdingKey = () => {
    const edit = menu.value?.edit;
    return edit?.starts === 'holding' ? edit.holding : undefined;
  };

  /** `at`: when the key really went down, ms since the page began. A page that was busy meanwhile must not take a press for a hold. */
  function keyDown(key: string, at = performance.now()): void {
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
        since = at;
        spent = false;
        return;
      }
    }
    stroke = [...down.value];
    since = at;
    spent = false;
    heldSeconds.value = 0;
    if (stroke.length === 1 && turnsNow(key)) {
      spent = true;
      press(key);
      repeat(key);
    }
  }

  function keyUp(key: string, at = performance.now()): void {
    if (!down.value.includes(key)) return;
    stopRepeating();
    const seconds = (at - since) / 1000;
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
    const held = Math.floor(seconds * 10) / 10;
    if (keys.length > 1) perform({ action: 'chord', keys, ...(seconds >= 1 && { seconds: held }) });
    else if (seconds < 1) perform({ action: 'press', keys });
    else perform({ action: 'hold', keys, seconds: held });
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
  }, 250);
  onScopeDispose(() => {
    clearInterval(clock);
    stopRepeating();
  });

  return { down, heldSeconds, keyDown, keyUp };
}
