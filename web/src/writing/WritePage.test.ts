import { beforeEach, expect, test } from '@jest/globals';
import { mountPage, settle } from '../../testing/mounting.ts';
import WritePage from './WritePage.vue';

const answers = {
  'GET /api/controllers': { controllers: [] },
  'GET /api/meanings': { meanings: [] },
};
const booklet = [
  'Code\tDescription\tUnit\tMin\tMax\tDefault',
  'w1\tSet point\t°F\t-40\t99\t36',
  'w2\tDifferential\t°F\t1\t20\t4',
].join('\n');

beforeEach(() => localStorage.clear());

test('empty: waits for the booklet’s table', async () => {
  const page = await mountPage(WritePage, { answers });
  expect(page.text()).toContain('The booklet’s parameter table');
  expect(page.find('[data-test="rows"] tr').exists()).toBe(false);
});

test('usual: each line of a made-up booklet is a row, with a meaning proposed', async () => {
  const page = await mountPage(WritePage, { answers });
  await page.get('[data-test="paste"]').setValue(booklet);
  await settle();
  expect(page.get('[data-step="booklet"]').text()).toContain('2 rows');
  await page.get('[data-step="meanings"]').trigger('click');
  expect(page.text()).toContain('w1');
  expect(page.text()).toContain('Differential');
  expect(page.html()).not.toMatch(/NaN|undefined|\[object/);
});

test('in error: what cannot be read as a table is said, and stays in the field', async () => {
  const page = await mountPage(WritePage, { answers });
  await page.get('[data-test="paste"]').setValue('* * *');
  await settle();
  expect(page.text()).toMatch(/[Ee]xpected/);
  expect((page.get('[data-test="paste"]').element as HTMLTextAreaElement).value).toBe('* * *');
});

test('a viewer writes nothing down', async () => {
  const page = await mountPage(WritePage, { role: 'viewer', answers });
  expect(page.text()).toContain('Only technicians and leads write controls down.');
});
