import { ref, type ComputedRef, type Ref } from 'vue';

const STEP_S = 300;
const LONG_STEP_S = 3600;

/** The cursor of a strip: put by the pointer, moved by the arrow keys (with Shift by the hour), never beyond its ends. */
export function useStripCursor(
  svg: Ref<SVGSVGElement | null>,
  end: ComputedRef<number>,
  secondsAt: (pixels: number) => number,
) {
  const at = ref<number | null>(null);
  const within = (seconds: number) => Math.min(end.value, Math.max(0, seconds));
  function point(event: PointerEvent) {
    at.value = within(secondsAt(event.clientX - svg.value!.getBoundingClientRect().left));
  }
  function key(event: KeyboardEvent) {
    const step = event.shiftKey ? LONG_STEP_S : STEP_S;
    const by = event.key === 'ArrowRight' ? step : event.key === 'ArrowLeft' ? -step : 0;
    if (by === 0) return;
    event.preventDefault();
    event.stopPropagation();
    at.value = within((at.value ?? end.value / 2) + by);
  }
  return { at, point, key };
}
