import { expect, test } from '@jest/globals';
import { asked, mountPage, settle } from '../../testing/mounting.ts';
import KindBoxes from './KindBoxes.vue';

const priors = { capacity: { usual: Math.log(0.7), spread: 0.1 } };
const offers = (used: object | null) => [
  { application: 'walkInFreezer', units: 6, priors, used },
  { application: 'walkInCooler', units: 2, priors: null, used: null },
];

test('a lead sees what learned units have in common, and takes it for the next ones', async () => {
  const used = { units: 6, at: '2026-03-02T09:00:00.000Z', priors };
  const page = await mountPage(KindBoxes, {
    role: 'lead',
    answers: {
      'GET /api/kinds': { kinds: offers(null) },
      'POST /api/kinds': { company: {}, kinds: offers(used) },
    },
  });
  expect(page.get('[data-test="kind-walkInFreezer"]').text()).toContain(
    'the machine gives 70 % of the usual',
  );
  expect(page.get('[data-test="kind-walkInCooler"]').text()).toContain('3 more');
  expect(page.find('[data-test="use-kind-walkInCooler"]').exists()).toBe(false);
  await page.get('[data-test="use-kind-walkInFreezer"]').trigger('click');
  await settle();
  expect(asked).toContain('POST /api/kinds {"application":"walkInFreezer","use":true}');
  expect(page.text()).toContain('Used since');
  expect(page.find('[data-test="drop-kind-walkInFreezer"]').exists()).toBe(true);
});

test('nobody else is asked', async () => {
  const page = await mountPage(KindBoxes, { role: 'technician', answers: {} });
  expect(page.text()).toBe('');
  expect(asked).not.toContain('GET /api/kinds');
});
