import { describe, expect, test } from '@jest/globals';
import { convert } from '@brine/core/wiring/conversion';
import { typicalConversions } from '@brine/core/wiring/typical';
import { wireIds, type Circuit } from '@brine/core/wiring/circuit';
import { readFileSync } from 'node:fs';
import { diagramOf } from './diagram.ts';
import Elk from 'elkjs/lib/elk.bundled.js';
import { directRoute, labelPlace, layOut } from './layOut.ts';
import { livenessOf } from './liveness.ts';
import { colourCode } from './wireColours.ts';
import { readTyped, shownReading } from './meterWords.ts';

/** The same kernel, in this thread. */
const kernel = new Elk();

const definition = (id: string) =>
  JSON.parse(readFileSync(`demo/controllers/${id}.controller.json`, 'utf8')) as never;
const timer = convert(
  typicalConversions.find((c) => c.id === 'timer-and-thermostat')!.circuit,
  definition('marl-4'),
).circuit;

/** A cabinet of forty wires: many small loads behind one control. */
function forty(): Circuit {
  const loads = Array.from({ length: 13 }, (_, i) => i + 1);
  return {
    ...timer,
    supplies: [
      { id: 'L1', volts: 120 },
      { id: 'N', volts: 0 },
    ],
    parts: loads.flatMap((n) => [
      { id: `F${n}`, kind: 'fuse' as const, terminals: ['a', 'b'], amps: 10 },
      {
        id: `M${n}`,
        kind: 'load' as const,
        role: 'evaporatorFan',
        terminals: ['1', '2'],
        watts: 60,
        ratedVolts: 120,
      },
    ]),
    wires: [
      ...loads.flatMap((n) => [
        { from: 'L1', to: `F${n}.a`, label: `${3 * n}`, colour: 'black' },
        { from: `F${n}.b`, to: `M${n}.1`, label: `${3 * n + 1}`, colour: 'blue' },
        { from: `M${n}.2`, to: 'N', label: `${3 * n + 2}`, colour: 'white' },
      ]),
      { from: 'F1.b', to: 'F2.b', label: '99', colour: 'red' },
    ],
    states: { off: [] },
  };
}

describe('the diagram of a circuit', () => {
  const diagram = diagramOf(timer);

  test('draws every wire once, between terminals that are there', () => {
    const ends = new Set(diagram.boxes.flatMap((b) => b.ports.map((p) => p.end)));
    expect(diagram.links.map((l) => l.id).sort()).toEqual([...wireIds(timer.wires)].sort());
    for (const link of diagram.links) expect([ends.has(link.from), ends.has(link.to)]).toEqual([true, true]);
  });

  test('a control and its contacts are one box, in the words of its own print', () => {
    const box = diagram.boxes.find((b) => b.kind === 'control')!;
    expect(box.title).toBe('Marl 4');
    expect(box.ports.map((p) => p.label)).toEqual(
      expect.arrayContaining(['p1', 'p3', 'cool com', 'cool no', 'fan no', 's1']),
    );
    expect(diagram.boxes.some((b) => b.id === 'K1')).toBe(false);
  });

  test.each([
    ['the fish store', timer, 28],
    ['forty wires', forty(), 40],
  ])(
    'is laid out with upright and level strokes, and no box on another: %s',
    async (_name, circuit, wires) => {
      const drawn = diagramOf(circuit);
      const placed = await layOut(drawn, kernel);
      expect(placed.wires.size).toBe(wires);
      for (const bends of placed.wires.values()) {
        expect(bends.length).toBeGreaterThan(1);
        for (let i = 1; i < bends.length; i += 1)
          expect(
            Math.min(Math.abs(bends[i]!.x - bends[i - 1]!.x), Math.abs(bends[i]!.y - bends[i - 1]!.y)),
          ).toBeLessThan(0.01);
      }
      const boxes = drawn.boxes.map((b) => ({ ...placed.boxes.get(b.id)!, w: b.width, h: b.height }));
      for (const [i, a] of boxes.entries())
        for (const b of boxes.slice(i + 1))
          expect(a.x + a.w <= b.x || b.x + b.w <= a.x || a.y + a.h <= b.y || b.y + b.h <= a.y).toBe(true);
    },
  );

  test('wires begin and end on their terminals', async () => {
    const placed = await layOut(diagram, kernel);
    for (const link of diagram.links) {
      const bends = placed.wires.get(link.id)!;
      expect(bends[0]).toEqual(placed.ports.get(link.from));
      expect(bends.at(-1)).toEqual(placed.ports.get(link.to));
    }
  });
});

test('live ends are those under voltage to earth in the state', () => {
  const cooling = livenessOf(timer, 'cooling');
  expect(cooling.live.has('K1.no')).toBe(true);
  expect(cooling.on.has('M1')).toBe(true);
  expect(livenessOf(timer, 'dead').live.size).toBe(0);
});

test('a label stands where there is room for it, level before upright, else nowhere', () => {
  const bends = [
    { x: 0, y: 0 },
    { x: 20, y: 0 },
    { x: 20, y: 90 },
    { x: 100, y: 90 },
  ];
  expect(labelPlace(bends, 50)).toEqual({ x: 60, y: 90, upright: false });
  expect(labelPlace(bends.slice(0, 3), 50)).toEqual({ x: 20, y: 45, upright: true });
  expect(labelPlace(bends.slice(0, 2), 50)).toBeNull();
});

test('a dragged box keeps its wires at right angles', () => {
  expect(directRoute({ x: 0, y: 0 }, { x: 10, y: 8 })).toEqual([
    { x: 0, y: 0 },
    { x: 5, y: 0 },
    { x: 5, y: 8 },
    { x: 10, y: 8 },
  ]);
});

test('colours have the letters of IEC 60757; others their own first ones', () => {
  expect(['black', 'white', 'orange', 'violet', 'green-yellow', 'beige'].map(colourCode)).toEqual([
    'BK',
    'WH',
    'OG',
    'VT',
    'GNYE',
    'BEI',
  ]);
});

test.each([
  ['118,6', 'V', 118.6],
  ['118.6 V', 'V', 118.6],
  ['3k', 'ohm', 3000],
  ['2.2 kΩ', 'ohm', 2200],
  ['OL', 'ohm', 1e7],
  ['open', 'ohm', 1e7],
  ['-3', 'V', null],
  ['3k', 'V', null],
  ['about 7', 'A', null],
] as const)('typed %s in %s is %s', (text, unit, value) => expect(readTyped(text, unit)).toBe(value));

test.each([
  ['ohm', 5e6, 'open'],
  ['ohm', 3000, '3.00 kΩ'],
  ['ohm', 14.37, '14.4 Ω'],
  ['V', 206.7, '207 V'],
  ['V', 0.31, '0.3 V'],
  ['A', 7.912, '7.91 A'],
] as const)('%s %d is shown as %s', (unit, value, words) => expect(shownReading(unit, value)).toBe(words));
