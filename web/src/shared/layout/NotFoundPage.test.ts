import { expect, test } from '@jest/globals';
import { mountPage } from '../../../testing/mounting.ts';
import NotFoundPage from './NotFoundPage.vue';

test('an address that is none says so and gives a way on', async () => {
  const page = await mountPage(NotFoundPage, { answers: {} });
  expect(page.get('h1').text()).toBe('There is no page at this address');
  expect(page.text()).toContain('Go to the jobs');
});
