import { expect, test } from '@jest/globals';
import { JOB, jobAnswers, mountPage, refusal, surveyed } from '../../testing/mounting.ts';
import JobPage from './JobPage.vue';

const props = { id: JOB };

test('empty: a new job shows its unit and the stations before it', async () => {
  const page = await mountPage(JobPage, { props, answers: jobAnswers([]) });
  expect(page.get('[data-test="name-plate"]').text()).toContain('C-1 Cold room');
  for (const name of ['Survey', 'Fit', 'Wire', 'Program', 'Prove', 'Hand over'])
    expect(page.text()).toContain(name);
});

test('usual: how far it is stands at each station', async () => {
  const page = await mountPage(JobPage, { props, answers: jobAnswers(surveyed) });
  expect(page.html()).not.toMatch(/NaN|undefined|\[object/);
  expect(page.text()).toContain('Survey');
});

test('in error: the sentence and a way on', async () => {
  const page = await mountPage(JobPage, {
    props,
    answers: { [`GET /api/jobs/${JOB}`]: refusal(404, 'There is no job with this id') },
  });
  expect(page.get('[role="alert"]').text()).toContain('There is no job with this id');
  expect(page.text()).toContain('Go to the jobs');
});
