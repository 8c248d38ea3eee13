import { expect, test } from '@jest/globals';
import { mountPage, refusal, settle } from '../../testing/mounting.ts';
import ReviewPage from './ReviewPage.vue';

const review = {
  id: 'r1',
  goal: null,
  total: 1,
  done: 1,
  stopped: false,
  units: [
    {
      jobId: 'j1',
      unit: 'Cold room',
      site: 'Own site',
      problem: null,
      judged: {
        findings: [
          { code: 'noHighAlarm', severity: 'warning', message: 'No high alarm is in force', remedy: null },
        ],
        advised: null,
      },
    },
  ],
};
const start = async (page: Awaited<ReturnType<typeof mountPage>>) => {
  await page.get('[data-test="start-review"], button[type="button"]').trigger('click');
  await settle();
};

test('empty: nothing was begun yet', async () => {
  const page = await mountPage(ReviewPage, { answers: {} });
  expect(page.text()).toContain('Review of every unit');
  expect(page.text()).not.toContain('Cold room');
});

test('usual: each unit with what is said against it', async () => {
  const page = await mountPage(ReviewPage, { answers: { 'POST /api/reviews': { review } } });
  await start(page);
  expect(page.text()).toContain('Cold room');
  expect(page.text()).toContain('No high alarm is in force');
});

test('in error: the sentence of the server', async () => {
  const page = await mountPage(ReviewPage, {
    answers: { 'POST /api/reviews': refusal(403, 'This needs a technician; you are signed in as viewer') },
  });
  await start(page);
  expect(page.text()).toContain('This needs a technician');
});
