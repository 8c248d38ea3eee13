import { watch } from 'vue';
import { useFollow } from './followStore.ts';

/** What the control tells over its bus, from when a control that tells anything is known. */
export function useFollowing() {
  const { store, control, attach } = useFollow();
  watch(control, attach, { immediate: true });
  return { following: store, control };
}
