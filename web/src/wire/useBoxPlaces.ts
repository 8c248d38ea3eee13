import { ref, type Ref } from 'vue';
import type { Point } from './layOut.ts';

/** Points of the page a box has to be drawn before it counts as moved rather than pressed. */
const LEAST_DRAG = 3;
/** How far an arrow key takes a box, in points of the drawing. */
const NUDGE = 10;

/** Where boxes were dragged to, as offsets from the laid-out place. Kept on this device, by job. `ratio`: drawing points a page point. */
export function useBoxPlaces(job: string, ratio: Ref<number>) {
  const stored = `brine-diagram:${job}`;
  const moved = ref<Readonly<Record<string, Point>>>(read(stored));
  let drag: { readonly id: string; readonly x: number; readonly y: number; readonly from: Point } | null =
    null;

  const offset = (id: string): Point => moved.value[id] ?? { x: 0, y: 0 };
  const place = (id: string, at: Point) => (moved.value = { ...moved.value, [id]: at });
  const keep = () => localStorage.setItem(stored, JSON.stringify(moved.value));

  function dragStart(id: string, event: PointerEvent): void {
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    drag = { id, x: event.clientX, y: event.clientY, from: offset(id) };
  }
  function dragOn(event: PointerEvent): void {
    if (!drag) return;
    const by = { x: event.clientX - drag.x, y: event.clientY - drag.y };
    if (Math.hypot(by.x, by.y) > LEAST_DRAG)
      place(drag.id, { x: drag.from.x + by.x * ratio.value, y: drag.from.y + by.y * ratio.value });
  }
  function dragEnd(): void {
    if (drag) keep();
    drag = null;
  }
  function nudge(id: string, x: number, y: number): void {
    const at = offset(id);
    place(id, { x: at.x + x * NUDGE, y: at.y + y * NUDGE });
    keep();
  }
  function reset(): void {
    moved.value = {};
    localStorage.removeItem(stored);
  }
  return { moved, offset, dragStart, dragOn, dragEnd, nudge, reset };
}

function read(key: string): Readonly<Record<string, Point>> {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '{}') as Record<string, Point>;
  } catch {
    return {};
  }
}
