import { beforeEach, expect, test } from '@jest/globals';
import { keepLayout, keptLayout } from './keptLayouts.ts';

const graph = (id: string) => ({ id, children: [{ id: 'a', width: 10, height: 10 }] });
const placed = (id: string) => ({ ...graph(id), width: 100, height: 50 });

beforeEach(() => localStorage.clear());

test('a layout is there again for the same graph, and for no other', () => {
  keepLayout(JSON.stringify(graph('one')), placed('one'));
  expect(keptLayout(graph('one'))).toEqual(placed('one'));
  expect(keptLayout(graph('two'))).toBeNull();
});

test('one that only shares the name of another is not taken for it', () => {
  keepLayout(JSON.stringify(graph('one')), placed('one'));
  const [name] = Object.keys(localStorage).filter((key) => key.startsWith('brine-layout:'));
  localStorage.setItem(
    name!,
    JSON.stringify({ graph: JSON.stringify(graph('other')), placed: placed('other') }),
  );
  expect(keptLayout(graph('one'))).toBeNull();
});

test('of many the last dozen stay', () => {
  for (let i = 0; i < 30; i += 1) keepLayout(JSON.stringify(graph(`g${i}`)), placed(`g${i}`));
  const there = Array.from({ length: 30 }, (_, i) => keptLayout(graph(`g${i}`)) !== null);
  expect(there.lastIndexOf(false)).toBe(17);
  expect(Object.keys(localStorage).filter((key) => key.startsWith('brine-layout:'))).toHaveLength(12);
});

test('what lies there broken, or has no room, does no harm', () => {
  localStorage.setItem('brine-layouts', 'no JSON');
  keepLayout(JSON.stringify(graph('one')), placed('one'));
  expect(keptLayout(graph('one'))).toBeNull();
});
