import { expect, test } from '@jest/globals';
import { mountPage } from '../../testing/mounting.ts';
import ControlsPage from './ControlsPage.vue';

const line = {
  id: 'own',
  family: 'Own 1',
  version: '1',
  hash: 'h1',
  summary: 'From a booklet',
  parameters: 12,
  newest: true,
};

test('empty: says what to do first', async () => {
  const page = await mountPage(ControlsPage, { answers: { 'GET /api/controllers': { controllers: [] } } });
  expect(page.text()).toContain('No controller is in the library yet');
  expect(page.text()).toContain('Add a controller');
});

test('usual: a controller of one’s own is listed like any other', async () => {
  const page = await mountPage(ControlsPage, {
    answers: { 'GET /api/controllers': { controllers: [line] } },
  });
  expect(page.text()).toContain('Own 1');
});

test('in error: with the server away the list of before stays', async () => {
  const page = await mountPage(ControlsPage, { answers: null });
  expect(page.text()).toContain('Own 1');
});

test('a viewer adds nothing', async () => {
  const page = await mountPage(ControlsPage, {
    role: 'viewer',
    answers: { 'GET /api/controllers': { controllers: [line] } },
  });
  expect(page.text()).not.toContain('Add a controller');
});
