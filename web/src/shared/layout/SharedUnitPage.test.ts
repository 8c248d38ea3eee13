import { expect, test } from '@jest/globals';
import { mountPage, refusal } from '../../../testing/mounting.ts';
import SharedUnitPage from './SharedUnitPage.vue';

const shown = {
  unit: 'Cold room',
  site: 'Own site',
  company: 'Own company',
  phone: '555 0100',
  setTo: [],
  planned: [],
  open: [],
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

test('nothing keyed: what is planned is said to be planned, and nothing stands as fact', async () => {
  const page = await mountPage(SharedUnitPage, {
    props,
    answers: answers({
      ...shown,
      planned: [{ code: 'w1', meaning: 'Set point', planned: '34 °F' }],
      open: [{ words: '15 codes not keyed in', because: 'part on order' }],
    }),
  });
  expect(page.get('[data-test="set-to"]').text()).toContain('Nothing is known to be set in it yet.');
  expect(page.get('[data-test="page-planned"]').text()).toContain('not yet in the unit');
  expect(page.get('[data-test="page-open"]').text()).toContain('15 codes not keyed in: part on order');
  expect(page.text()).toContain('Whom to call: Own company, 555 0100');
});

test('in error: a revoked link says what to do', async () => {
  const page = await mountPage(SharedUnitPage, {
    props,
    answers: { 'GET /api/share/secret': refusal(404, 'This link is not open any more') },
  });
  expect(page.text()).toContain('This link is not open any more. Ask the company for a new sheet.');
});
