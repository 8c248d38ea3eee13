import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { aJob, JOB, mountPage, refusal, settle, streamOf } from '../../testing/mounting.ts';
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

const marl = JSON.parse(
  readFileSync(new URL('../../../demo/controllers/marl-4.controller.json', import.meta.url), 'utf8'),
) as { id: string; family: string; version: string; parameters: { code: string; name: string }[] };

test('what is in it now is what somebody keyed, with since when and by whom; the plan is not', async () => {
  const pin = { id: marl.id, family: marl.family, version: marl.version, hash: 'own-hash' };
  const page = await mountPage(UnitPage, {
    props,
    answers: {
      ...unit,
      'GET /api/jobs': { jobs: [aJob] },
      'GET /api/controllers/own-hash': { definition: marl },
      [`GET /api/jobs/${JOB}/entries`]: streamOf([
        { kind: 'answer', question: 'application', value: 'walkInFreezer' },
        { kind: 'answer', question: 'goods', value: 'frozenFish' },
        { kind: 'answer', question: 'defrostMethod', value: 'electric' },
        { kind: 'answer', question: 'probes', value: ['air', 'coil'] },
        { kind: 'control', role: 'new', definition: pin },
        { kind: 'keyed', code: 'hold', state: 'keyed', value: -9 },
      ]),
    },
  });
  await settle();
  const now = page.get('[data-test="in-it-now"]').text();
  expect(now).toContain(marl.parameters.find((p) => p.code === 'hold')!.name);
  expect(now).toContain('2026-11-29, Tess');
  expect(now).toMatch(/1 code, since when/);
  expect(now).toMatch(/\d+ values are planned and not in it yet/);
});

test('in error: the sentence and a way on', async () => {
  const page = await mountPage(UnitPage, {
    props,
    answers: { 'GET /api/units/u1': refusal(404, 'There is no unit with this id') },
  });
  expect(page.get('[role="alert"]').text()).toContain('There is no unit with this id');
  expect(page.text()).toContain('Go to the units');
});
