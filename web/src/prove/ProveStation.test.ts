import { expect, test } from '@jest/globals';
import { inJob } from '../../testing/jobStage.ts';
import { JOB, jobAnswers, mountPage, refusal, surveyed } from '../../testing/mounting.ts';
import ProveStation from './ProveStation.vue';

test('empty: a new job of one’s own says what to do next', async () => {
  const page = await mountPage(inJob(ProveStation), { answers: jobAnswers([]) });
  expect(page.text()).toMatch(/Choose the new control and answer the survey/);
  expect(page.html()).not.toMatch(/NaN|undefined|\[object/);
});

test('usual: a surveyed unit that nobody prepared is worked with', async () => {
  const page = await mountPage(inJob(ProveStation), { answers: jobAnswers(surveyed) });
  expect(page.text()).toMatch(/Choose the new control and answer the survey/);
  expect(page.html()).not.toMatch(/NaN|undefined|\[object/);
});

test('in error: with the stream refused the station stays, and nothing is thrown', async () => {
  const page = await mountPage(inJob(ProveStation), {
    answers: { ...jobAnswers([]), [`GET /api/jobs/${JOB}/entries`]: refusal(500, 'Something went wrong') },
  });
  expect(page.text()).toMatch(/Choose the new control and answer the survey/);
});
