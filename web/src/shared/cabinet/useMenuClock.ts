import { onScopeDispose, ref } from 'vue';

/** Counts a menu's time-out down from the last key that was pressed; counted by the clock, so that a phone that slept in between is right. */
export function useMenuClock(seconds: () => number | null, closed: () => void) {
  const left = ref<number | null>(null);
  let endsAt = 0;
  let timer: ReturnType<typeof setInterval> | undefined;

  function stop(): void {
    clearInterval(timer);
    left.value = null;
  }

  function look(): void {
    left.value = Math.max(0, Math.ceil((endsAt - Date.now()) / 1000));
    if (left.value > 0) return;
    stop();
    closed();
  }

  /** A key was pressed now. */
  function pressed(): void {
    const all = seconds();
    stop();
    if (all === null) return;
    endsAt = Date.now() + all * 1000;
    timer = setInterval(look, 250);
    look();
  }

  onScopeDispose(stop);
  return { left, pressed, stop };
}
