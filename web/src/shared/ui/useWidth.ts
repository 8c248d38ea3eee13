import { onScopeDispose, ref, watch, type Ref } from 'vue';

/** The width of an element as it is laid out, in pixels. */
export function useWidth(element: Ref<HTMLElement | null>): Ref<number> {
  const width = ref(600);
  const observer = new ResizeObserver(([entry]) => {
    if (entry && entry.contentRect.width > 0) width.value = entry.contentRect.width;
  });
  watch(element, (now, before) => {
    if (before) observer.unobserve(before);
    if (now) observer.observe(now);
  });
  onScopeDispose(() => observer.disconnect());
  return width;
}
