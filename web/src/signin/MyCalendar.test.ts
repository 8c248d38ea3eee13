import { expect, test } from '@jest/globals';
import { asked, mountPage, refusal, settle } from '../../testing/mounting.ts';
import MyCalendar from './MyCalendar.vue';

const at = '2026-11-28T08:00:00.000Z';

test('a link is made and shown once; ended, nothing of it is left', async () => {
  const page = await mountPage(MyCalendar, {
    role: 'technician',
    answers: {
      'GET /api/me/calendar': { link: null },
      'POST /api/me/calendar': { link: { createdAt: at, token: 'secret-of-the-link' } },
      'DELETE /api/me/calendar': { done: true },
    },
  });
  await page.get('[data-test="make-calendar"]').trigger('click');
  await settle();
  expect(page.get('[data-test="calendar-link"]').text()).toContain('/api/calendar/secret-of-the-link.ics');
  // A phone’s calendar is called by its own scheme.
  expect(page.get('[data-test="calendar-link"] a').attributes('href')).toMatch(
    /^webcal:\/\/.*\/api\/calendar\/secret-of-the-link\.ics$/,
  );
  await page.get('[data-test="end-calendar"]').trigger('click');
  await settle();
  expect(asked).toContain('DELETE /api/me/calendar');
  expect(page.text()).not.toContain('secret-of-the-link');
});

test('one made before is told with its day, without its secret; a refusal stands there as a sentence', async () => {
  const page = await mountPage(MyCalendar, {
    role: 'technician',
    answers: {
      'GET /api/me/calendar': { link: { createdAt: at } },
      'POST /api/me/calendar': refusal(503, 'The database is away'),
    },
  });
  expect(page.text()).toContain('open since 2026-11-28');
  expect(page.find('[data-test="calendar-link"]').exists()).toBe(false);
  await page.get('[data-test="make-calendar"]').trigger('click');
  await settle();
  expect(page.text()).toContain('The database is away');
});
