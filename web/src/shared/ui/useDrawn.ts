import { nextTick, onScopeDispose, readonly, ref, watch, type Ref } from 'vue';

/** A page that is not looked at draws nothing: it waits no longer than this. */
const NO_PICTURE_MS = 200;

/** Resolves once the browser has drawn what stands on the page now. */
export function nextPicture(): Promise<void> {
  return new Promise((done) => {
    const late = setTimeout(done, NO_PICTURE_MS);
    requestAnimationFrame(() => {
      clearTimeout(late);
      setTimeout(done, 0);
    });
  });
}

/**
 * Turns true once the page has drawn what one came for, and stays so: what stands below, beside or behind it, and what of it is long computed, comes then. A slow phone is busy with all of it for
 * seconds.
 *
 * @param ready whether what one came for stands on the page
 * @param longestMs where it may never stand, the rest comes after so long all the same
 */
export function useDrawn(ready: () => boolean, longestMs?: number): Readonly<Ref<boolean>> {
  const drawn = ref(false);
  const waited = ref(false);
  if (longestMs !== undefined) {
    const timer = setTimeout(() => (waited.value = true), longestMs);
    onScopeDispose(() => clearTimeout(timer));
  }
  const stop = watch(
    () => waited.value || ready(),
    async (now) => {
      if (!now) return;
      await nextTick();
      await nextPicture();
      drawn.value = true;
      stop();
    },
    { immediate: true },
  );
  return readonly(drawn);
}
