import { computed, type Ref } from 'vue';
import type { Diagram } from './diagram.ts';
import { directRoute, labelPlace, type LaidOut, type Point } from './layOut.ts';
import type { Liveness } from './liveness.ts';
import { plateWidth } from './plateWidth.ts';
import { colourCode, colourOf } from './wireColours.ts';

/** What a drawing is made of. */
interface DrawingParts {
  readonly diagram: Ref<Diagram>;
  readonly laidOut: Ref<LaidOut | null>;
  readonly live: Ref<Liveness>;
  readonly dark: Ref<boolean>;
  readonly picked: Ref<readonly string[]>;
  /** Wires that still ask for a hand. */
  readonly open: Ref<ReadonlySet<string>>;
  /** How far a box was dragged from its laid-out place. */
  readonly offset: (box: string) => Point;
}

/** Boxes, wires and labels with their places: laid out, and moved along with what was dragged. */
export function useDrawing({ diagram, laidOut, live, dark, picked, open, offset }: DrawingParts) {
  const boxOf = computed(
    () => new Map(diagram.value.boxes.flatMap((b) => b.ports.map((p) => [p.end, b.id] as const))),
  );
  const offsetOf = (end: string) => offset(boxOf.value.get(end) ?? '');
  function portAt(end: string): Point {
    const at = laidOut.value?.ports.get(end) ?? { x: 0, y: 0 };
    const by = offsetOf(end);
    return { x: at.x + by.x, y: at.y + by.y };
  }
  const boxes = computed(() => {
    const laid = laidOut.value;
    if (!laid) return [];
    return diagram.value.boxes.map((box) => {
      const at = laid.boxes.get(box.id)!;
      const by = offset(box.id);
      return { box, x: at.x + by.x, y: at.y + by.y, on: live.value.on.has(box.id) };
    });
  });
  const placed = computed(() => {
    const laid = laidOut.value;
    if (!laid) return [];
    return diagram.value.links.flatMap((link) => {
      const route = laid.wires.get(link.id);
      if (!route) return [];
      const words = [link.label, colourCode(link.colour)].filter(Boolean).join(' ');
      const [a, b] = [offsetOf(link.from), offsetOf(link.to)];
      // Ends that moved alike, those of one box above all, keep the way that was laid out.
      const together = a.x === b.x && a.y === b.y;
      const bends = together
        ? route.map((p) => ({ x: p.x + a.x, y: p.y + a.y }))
        : directRoute(portAt(link.from), portAt(link.to));
      return [
        {
          link,
          bends,
          label: labelPlace(bends, plateWidth(words)),
          words,
          colour: colourOf(link.colour, dark.value),
          live: live.value.live.has(link.from) && live.value.live.has(link.to),
          picked: picked.value.includes(link.id),
          open: open.value.has(link.id),
        },
      ];
    });
  });
  /** Picked wires last, so that they lie on top. */
  const wires = computed(() => [...placed.value].sort((a, b) => Number(a.picked) - Number(b.picked)));
  const labels = computed(() =>
    placed.value.flatMap(({ link, label, words, live: isLive }) =>
      label && words ? [{ id: link.id, label, words, live: isLive }] : [],
    ),
  );
  const size = computed(() => {
    const xs = boxes.value.flatMap(({ box, x }) => [x, x + box.width]);
    const ys = boxes.value.flatMap(({ box, y }) => [y, y + box.height]);
    const left = Math.min(0, ...xs) - 4;
    const top = Math.min(0, ...ys) - 4;
    return {
      left,
      top,
      width: Math.max(laidOut.value?.width ?? 0, ...xs) - left + 8,
      height: Math.max(laidOut.value?.height ?? 0, ...ys) - top + 8,
    };
  });
  return { boxes, wires, labels, size, portAt };
}
