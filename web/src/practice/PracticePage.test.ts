import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { mountPage, refusal } from '../../testing/mounting.ts';
import PracticePage from './PracticePage.vue';

const line = (hash: string, family: string) => ({
  id: hash,
  family,
  version: '1',
  hash,
  summary: '',
  parameters: 3,
  newest: true,
});
const tarn = JSON.parse(readFileSync('demo/controllers/tarn-1.controller.json', 'utf8')) as object;
const keyless = { format: 'brine-dial/controller@1', id: 'own', family: 'Own 1', parameters: [] };

test('in error: with no list the sentence of the server stands there', async () => {
  const page = await mountPage(PracticePage, {
    answers: { 'GET /api/controllers': refusal(503, 'The database is away') },
  });
  expect(page.text()).toContain('The database is away');
});

test('empty: without a controller there is no panel', async () => {
  const page = await mountPage(PracticePage, { answers: { 'GET /api/controllers': { controllers: [] } } });
  expect(page.find('[data-test="panel"]').exists()).toBe(false);
  expect(page.text()).toContain('Practice');
  expect(page.get('[data-test="no-controllers"] a').attributes('href')).toBe('/controls/write');
  expect(page.text()).not.toContain('Loading');
});

test('usual: the panel of the chosen family, with its keys', async () => {
  const page = await mountPage(PracticePage, {
    props: { hash: 'tarn' },
    answers: {
      'GET /api/controllers': { controllers: [line('tarn', 'Tarn 1')] },
      'GET /api/controllers/tarn': { definition: tarn },
    },
  });
  expect(page.findAll('section[aria-label="Panel"] button').length).toBeGreaterThan(3);
});

test('a controller whose booklet was not read for its keys says so', async () => {
  const page = await mountPage(PracticePage, {
    props: { hash: 'own' },
    answers: {
      'GET /api/controllers': { controllers: [line('own', 'Own 1')] },
      'GET /api/controllers/own': { definition: keyless },
    },
  });
  expect(page.text()).toContain('says nothing of its keys');
});
