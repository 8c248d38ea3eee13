import { expect, test } from '@jest/globals';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import ReviewPage from './ReviewPage.vue';

const work = {
  id: 'r1',
  kind: 'review',
  title: 'Review of every unit',
  askedBy: 'Tess',
  askedAt: '2026-03-02T09:00:00.000Z',
  state: 'done',
  done: 2,
  total: 2,
  problem: null,
  endedAt: '2026-03-02T09:01:00.000Z',
  file: null,
  mayStop: true,
};
const line = (unit: string, more: object) => ({
  jobId: `job of ${unit}`,
  unit,
  site: 'Own site',
  noPlan: false,
  problem: null,
  judged: null,
  ...more,
});
const review = {
  work,
  goal: null,
  after: 2,
  units: [
    line('Cold room', {
      judged: {
        findings: [
          { code: 'noHighAlarm', severity: 'warning', message: 'No high alarm is in force', remedy: null },
        ],
        codes: { planned: 25, notYet: 16 },
        advised: null,
      },
    }),
    line('New box', { noPlan: true }),
  ],
};
const start = async (page: Awaited<ReturnType<typeof mountPage>>) => {
  await page.get('[data-test="review-start"]').trigger('click');
  await settle();
};

test('empty: nothing was begun yet', async () => {
  const page = await mountPage(ReviewPage, { answers: { 'GET /api/work': { works: [] } } });
  expect(page.text()).toContain('Review of every unit');
  expect(page.text()).not.toContain('Cold room');
  expect(page.find('[data-test="review-sum"]').exists()).toBe(false);
});

test('usual: each unit with what is said against it; the one without a plan is named, not left out', async () => {
  const page = await mountPage(ReviewPage, {
    answers: { 'POST /api/reviews': { work }, 'GET /api/reviews/r1': { review } },
  });
  await start(page);
  expect(page.text()).toContain('Cold room');
  expect(page.text()).toContain('No high alarm is in force');
  expect(page.get('[data-test="review-not-yet"]').text()).toContain('16 of 25 codes do not hold yet');
  expect(page.get('[data-test="review-no-plan"]').text()).toContain('New box');
  expect(page.get('[data-test="review-sum"]').text()).toContain('1 without a plan yet');
});

test('the last one is there again when the page is opened later, and goes on from the server', async () => {
  const running = { ...review, work: { ...work, state: 'running', done: 1, total: 7 } };
  const page = await mountPage(ReviewPage, {
    answers: { 'GET /api/work': { works: [work] }, 'GET /api/reviews/r1': { review: running } },
  });
  await settle();
  expect(page.get('[data-test="review-progress"]').text()).toBe('1 of 7 units');
  expect(asked).toContain('GET /api/reviews/r1?after=0');
  page.unmount();
});

test('one that somebody else asked for is not stopped from here', async () => {
  const running = { ...review, work: { ...work, state: 'running', done: 1, total: 7, mayStop: false } };
  const page = await mountPage(ReviewPage, {
    answers: { 'GET /api/work': { works: [work] }, 'GET /api/reviews/r1': { review: running } },
  });
  await settle();
  expect(page.find('[data-test="review-stop"]').exists()).toBe(false);
  page.unmount();
});

test('in error: the sentence of the server', async () => {
  const page = await mountPage(ReviewPage, {
    answers: { 'POST /api/reviews': refusal(403, 'This needs a technician; you are signed in as viewer') },
  });
  await start(page);
  expect(page.text()).toContain('This needs a technician');
});
