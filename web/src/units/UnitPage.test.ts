import { expect, test } from '@jest/globals';
import { aJob, JOB, mountPage, refusal, streamOf } from '../../testing/mounting.ts';
import UnitPage from './UnitPage.vue';

const props = { id: 'u1' };
const unit = { 'GET /api/units/u1': { unit: aJob.unit } };

test('empty: a unit nobody worked on yet', async () => {
  const page = await mountPage(UnitPage, { props, answers: { ...unit, 'GET /api/jobs': { jobs: [] } } });
  expect(page.text()).toContain('C-1 Cold room');
  expect(page.text()).toContain('Nothing was done on this unit yet');
});

test('usual: what was typed in its job, and what is due', async () => {
  const page = await mountPage(UnitPage, {
    props,
    answers: {
      ...unit,
      'GET /api/jobs': { jobs: [aJob] },
      [`GET /api/jobs/${JOB}/entries`]: streamOf([
        { kind: 'note', text: 'Gasket torn at the hinge' },
        {
          kind: 'followUp',
          id: 'f1',
          followUp: { due: '2020-01-02', what: 'Look at the frost', done: false },
        },
      ]),
    },
  });
  expect(page.get('[data-test="history"]').text()).toContain('Gasket torn at the hinge');
  expect(page.text()).toContain('2020-01-02, overdue');
});

test('in error: the sentence and a way on', async () => {
  const page = await mountPage(UnitPage, {
    props,
    answers: { 'GET /api/units/u1': refusal(404, 'There is no unit with this id') },
  });
  expect(page.get('[role="alert"]').text()).toContain('There is no unit with this id');
  expect(page.text()).toContain('Go to the units');
});
