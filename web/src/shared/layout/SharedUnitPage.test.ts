import { expect, test } from '@jest/globals';
import { mountPage, refusal } from '../../../testing/mounting.ts';
import SharedUnitPage from './SharedUnitPage.vue';

const shown = {
  unit: 'Cold room',
  site: 'Own site',
  company: 'Own company',
  control: 'Own 1',
  date: '2026-11-29',
  groups: [],
  builtIn: [],
  watch: [],
  lost: [],
  alarms: [],
  next: [],
};
const props = { token: 'secret' };
const answers = (page: object) => ({ 'GET /api/share/secret': { page } });

test('empty: a unit without settings still carries the caution', async () => {
  const page = await mountPage(SharedUnitPage, { props, answers: answers(shown) });
  expect(page.get('h1').text()).toBe('Cold room');
  expect(page.text()).toContain('Caution.');
});

test('usual: settings, what to watch and what an alarm means', async () => {
  const page = await mountPage(SharedUnitPage, {
    props,
    answers: answers({
      ...shown,
      watch: ['Frost on the left fan'],
      alarms: [{ code: 'P1', means: 'Air probe', severity: 'check', firstChecks: ['Look at its plug'] }],
      groups: [
        {
          title: 'Regulation',
          lines: [{ code: 'w1', meaning: 'Set point', value: '34', found: '', remark: '' }],
        },
      ],
    }),
  });
  expect(page.text()).toContain('Frost on the left fan');
  expect(page.text()).toContain('Look at its plug');
  expect(page.get('td.font-mono').text()).toBe('w1');
});

test('in error: a revoked link says what to do', async () => {
  const page = await mountPage(SharedUnitPage, {
    props,
    answers: { 'GET /api/share/secret': refusal(404, 'This link is not open any more') },
  });
  expect(page.text()).toContain('This link is not open any more. Ask the company for a new sheet.');
});
