import { expect, test } from '@jest/globals';
import { standaloneSvg } from './exportDrawing.ts';

test('a drawing that stands alone carries its looks and no class of the page', () => {
  document.body.innerHTML = '<svg class="a"><text class="b" style="fill: rgb(1, 2, 3)">12</text></svg>';
  const text = standaloneSvg(document.querySelector('svg')!);
  expect(text).toContain('xmlns="http://www.w3.org/2000/svg"');
  expect(text).toContain('rgb(1, 2, 3)');
  expect(text).not.toContain('class=');
});
