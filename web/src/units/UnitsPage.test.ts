import { expect, test } from '@jest/globals';
import { aJob, asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import UnitsPage from './UnitsPage.vue';

const site = { id: 's1', name: 'Own site', place: '', archived: false, version: 1 };
const lists = (sites: readonly object[], units: readonly object[]) => ({
  'GET /api/places': { sites, units, total: sites.length },
});

test('empty: says what to do first', async () => {
  const page = await mountPage(UnitsPage, { answers: lists([], []) });
  expect(page.text()).toContain('No sites yet. Add the first one, then its units.');
});

test('usual: units stand under their site; a site without units as well', async () => {
  const page = await mountPage(UnitsPage, {
    answers: lists([site, { ...site, id: 's2', name: 'Empty site' }], [aJob.unit]),
  });
  expect(page.text()).toContain('Own site');
  expect(page.text()).toContain('Cold room');
  expect(page.text()).toContain('Empty site');
});

test('what is typed is asked of the server', async () => {
  const page = await mountPage(UnitsPage, { answers: lists([site], []) });
  await page.get('input[type="search"]').setValue('cold');
  await new Promise((done) => setTimeout(done, 500));
  await settle();
  expect(asked.some((a) => a.startsWith('GET /api/places?') && a.includes('search=cold'))).toBe(true);
});

test('in error: the sentence stands on the page', async () => {
  const page = await mountPage(UnitsPage, {
    answers: { 'GET /api/places': refusal(500, 'Something broke') },
  });
  expect(page.text()).toContain('Something broke');
});

test('a viewer adds no site', async () => {
  const page = await mountPage(UnitsPage, { role: 'viewer', answers: lists([], []) });
  expect(page.find('[data-test="new-site"]').exists()).toBe(false);
});

test('more sites than a page: how many there are is said, and the next page is asked for', async () => {
  const page = await mountPage(UnitsPage, {
    answers: {
      'GET /api/places?search=&archived=false&after=here': {
        sites: [{ ...site, id: 's2', name: 'Next site' }],
        units: [],
        next: null,
        total: 2,
      },
      'GET /api/places?search=&archived=false': {
        sites: [site],
        units: [aJob.unit],
        next: 'here',
        total: 2,
      },
    },
  });
  expect(page.get('[data-test="places-count"]').text()).toContain('1 of 2 sites');
  await page.get('[data-test="more-places"]').trigger('click');
  await settle();
  expect(page.text()).toContain('Next site');
  expect(page.get('[data-test="places-count"]').text()).toBe('2 sites');
});

test('a site that is added is held against those there are: is it this one?', async () => {
  const page = await mountPage(UnitsPage, {
    answers: { ...lists([], []), 'GET /api/sites': { sites: [{ ...site, contact: '', phone: '555 0142' }] } },
  });
  await page.get('[data-test="new-site"]').trigger('click');
  await settle();
  const dialog = document.body;
  expect(dialog.querySelector('[data-test="like-it"]')).toBeNull();
  const name = dialog.querySelector<HTMLInputElement>('input[name="name"]')!;
  name.value = 'Own s';
  name.dispatchEvent(new Event('input', { bubbles: true }));
  await new Promise((done) => setTimeout(done, 400));
  await settle();
  expect(asked).toContain('GET /api/sites?search=Own+s');
  expect(dialog.querySelector('[data-test="like-it"]')?.textContent).toContain('Own site · 555 0142');
});
