import { onBeforeUnmount, ref, watch, type Ref } from 'vue';

/** So far down the page before the header goes, and so far up before it is back, px. */
const DOWN = 48;
const UP = 24;

/** True while somebody reads on down a page: the header makes room. At the top, and on the way up, it is there. */
export function useShrinking(scroller: Ref<HTMLElement | null>): Ref<boolean> {
  const shrunk = ref(false);
  let turnedAt = 0;
  let last = 0;

  function onScroll(event: Event): void {
    const { scrollTop } = event.target as HTMLElement;
    if (scrollTop > last === shrunk.value || scrollTop === last) turnedAt = scrollTop;
    last = scrollTop;
    if (scrollTop < DOWN) shrunk.value = false;
    else if (!shrunk.value && scrollTop > turnedAt + DOWN) shrunk.value = true;
    else if (shrunk.value && scrollTop < turnedAt - UP) shrunk.value = false;
  }

  const unwatch = watch(scroller, (now, before) => {
    before?.removeEventListener('scroll', onScroll);
    now?.addEventListener('scroll', onScroll, { passive: true });
  });
  onBeforeUnmount(() => {
    unwatch();
    scroller.value?.removeEventListener('scroll', onScroll);
  });
  return shrunk;
}
