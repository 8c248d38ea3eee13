import { expect, test } from '@jest/globals';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import WorkPage from './WorkPage.vue';

const work = (id: string, more: object) => ({
  id,
  kind: 'sheets',
  title: `Sheets of ${id}`,
  askedBy: 'Tess',
  askedAt: '2026-03-02T09:00:00.000Z',
  state: 'running',
  done: 3,
  total: 12,
  problem: null,
  endedAt: null,
  file: null,
  mayStop: true,
  ...more,
});

test('empty: it says so', async () => {
  const page = await mountPage(WorkPage, { answers: { 'GET /api/work': { works: [] } } });
  expect(page.text()).toContain('Nothing is under way');
});

test('usual: how far it is, a file to take, why one failed; stopped on a click', async () => {
  const page = await mountPage(WorkPage, {
    answers: {
      'GET /api/work': {
        works: [
          work('quay', {}),
          work('dairy', { state: 'done', done: 4, total: 4, file: 'sheets.zip' }),
          work('mill', { state: 'failed', problem: 'No unit here has a job with a new control yet' }),
        ],
      },
      'DELETE /api/work/quay': { work: work('quay', { state: 'stopped' }) },
    },
  });
  expect(page.text()).toContain('3 of 12 units');
  expect(page.get('a[download]').attributes('href')).toBe('/api/work/dairy/file');
  expect(page.text()).toContain('No unit here has a job with a new control yet');
  await page.get('[data-test="stop-work"]').trigger('click');
  await settle();
  expect(asked).toContain('DELETE /api/work/quay');
  page.unmount();
});

test('a viewer asks for nothing; a technician not for every job', async () => {
  const answers = { 'GET /api/work': { works: [] } };
  const viewer = await mountPage(WorkPage, { role: 'viewer', answers });
  expect(viewer.find('[data-test="all-sheets"]').exists()).toBe(false);
  const technician = await mountPage(WorkPage, { role: 'technician', answers });
  expect(technician.find('[data-test="all-sheets"]').exists()).toBe(true);
  expect(technician.find('[data-test="job-files"]').exists()).toBe(false);
});

test('in error: the sentence of the server', async () => {
  const page = await mountPage(WorkPage, {
    answers: { 'GET /api/work': refusal(503, 'The database does not answer') },
  });
  expect(page.text()).toContain('The database does not answer');
});

test('a report for the customer is asked for by site and days; what is wrong with it stands beside', async () => {
  const page = await mountPage(WorkPage, {
    role: 'technician',
    answers: {
      'GET /api/work': { works: [] },
      'GET /api/sites': { sites: [{ id: 's1', name: 'Own quay', place: '' }] },
      'POST /api/work/reports': refusal(400, 'to: expected the same day as from, or one after it'),
    },
  });
  const field = page.get('[data-test="report-form"] [data-test="find-one"]');
  await field.setValue('quay');
  await new Promise((done) => setTimeout(done, 300));
  await settle();
  await page.get('[data-test="report-form"] [role="option"]').trigger('mousedown');
  await page.get('[data-test="report-from"]').setValue('2026-03-01');
  await page.get('[data-test="report-to"]').setValue('2026-02-01');
  await page.get('[data-test="report-as"]').setValue('xlsx');
  await page.get('[data-test="report-form"]').trigger('submit');
  await settle();
  const sent = asked.find((line) => line.startsWith('POST /api/work/reports'))!;
  for (const part of ['s1', '2026-03-01', '2026-02-01', 'xlsx']) expect(sent).toContain(part);
  expect(page.text()).toContain('one after it');
});
