import { onScopeDispose, ref } from 'vue';

/** The time, every second, and at once when a sleeping phone is woken: timers count from when they were started, not by ticks. */
export function useNow() {
  const now = ref(Date.now());
  const tick = () => (now.value = Date.now());
  const timer = setInterval(tick, 1000);
  document.addEventListener('visibilitychange', tick);
  onScopeDispose(() => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', tick);
  });
  return now;
}
