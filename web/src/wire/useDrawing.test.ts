import { expect, test } from '@jest/globals';
import { computed, ref } from 'vue';
import type { Diagram } from './diagram.ts';
import type { LaidOut, Point } from './layOut.ts';
import { useDrawing } from './useDrawing.ts';

const port = (end: string, side: 'west' | 'east') => ({ end, label: end, side });
const box = (id: string, ...ports: ReturnType<typeof port>[]) => ({
  id,
  title: id,
  detail: '',
  kind: 'part' as const,
  ports,
  width: 100,
  height: 60,
});
const link = (id: string, from: string, to: string) => ({
  id,
  from,
  to,
  colour: 'black',
  label: '',
  change: 'new',
});
const diagram: Diagram = {
  boxes: [box('A', port('A.1', 'west'), port('A.2', 'east')), box('B', port('B.1', 'west'))],
  links: [link('loop', 'A.1', 'A.2'), link('run', 'A.2', 'B.1')],
};
const loop = [
  { x: 0, y: 30 },
  { x: 0, y: 80 },
  { x: 100, y: 80 },
  { x: 100, y: 30 },
];
const laidOut: LaidOut = {
  width: 400,
  height: 100,
  boxes: new Map([
    ['A', { x: 0, y: 0 }],
    ['B', { x: 200, y: 0 }],
  ]),
  ports: new Map([
    ['A.1', loop[0]!],
    ['A.2', loop[3]!],
    ['B.1', { x: 200, y: 30 }],
  ]),
  wires: new Map([
    ['loop', loop],
    ['run', [loop[3]!, { x: 200, y: 30 }]],
  ]),
};

test('a dragged box takes its own loops along; a wire to another box finds a new way at right angles', () => {
  const moved = ref<Record<string, Point>>({ A: { x: 10, y: -20 } });
  const { wires } = useDrawing({
    diagram: ref(diagram),
    laidOut: ref(laidOut),
    live: computed(() => ({
      volts: new Map(),
      live: new Set<string>(),
      on: new Set<string>(),
      amps: new Map(),
      restless: false,
    })),
    dark: ref(false),
    picked: ref([]),
    open: ref(new Set<string>()),
    offset: (id) => moved.value[id] ?? { x: 0, y: 0 },
  });
  const bends = (id: string) => wires.value.find((w) => w.link.id === id)!.bends;
  expect(bends('loop')).toEqual(loop.map(({ x, y }) => ({ x: x + 10, y: y - 20 })));
  expect(bends('run')).toEqual([
    { x: 110, y: 10 },
    { x: 155, y: 10 },
    { x: 155, y: 30 },
    { x: 200, y: 30 },
  ]);
  moved.value = {};
  expect(bends('run')).toEqual(laidOut.wires.get('run'));
});
