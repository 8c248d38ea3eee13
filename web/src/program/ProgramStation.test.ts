import { expect, test } from '@jest/globals';
import { inJob } from '../../testing/jobStage.ts';
import { JOB, jobAnswers, mountPage, refusal, surveyed } from '../../testing/mounting.ts';
import ProgramStation from './ProgramStation.vue';

test('empty: a new job of one’s own says what to do next', async () => {
  const page = await mountPage(inJob(ProgramStation), { answers: jobAnswers([]) });
  expect(page.text()).toMatch(/No plan yet/);
  expect(page.html()).not.toMatch(/NaN|undefined|\[object/);
});

test('usual: a surveyed unit that nobody prepared is worked with', async () => {
  const page = await mountPage(inJob(ProgramStation), { answers: jobAnswers(surveyed) });
  expect(page.text()).toMatch(/Planned for the Cold room/);
  // Oracle: the limit of milk and dairy, 41 °F, FDA Food Code 2022 §3-501.16(A)(2).
  expect(page.text()).toMatch(/Cut-in at 39 °F keeps the air under the limit.*41 °F/);
  expect(page.html()).not.toMatch(/NaN|undefined|\[object/);
});

test('in error: with the stream refused the station stays, and nothing is thrown', async () => {
  const page = await mountPage(inJob(ProgramStation), {
    answers: { ...jobAnswers([]), [`GET /api/jobs/${JOB}/entries`]: refusal(500, 'Something went wrong') },
  });
  expect(page.text()).toMatch(/No plan yet/);
});

test('who never chose degrees reads those of the people at the unit', async () => {
  const celsius = surveyed.map((body) =>
    body.kind === 'answer' && body.question === 'displayUnit' ? { ...body, value: 'celsius' } : body,
  );
  // The company reads °F.
  const page = await mountPage(inJob(ProgramStation), { answers: jobAnswers(celsius) });
  expect(page.text()).toMatch(/Cut-in at 4 °C/);
});
