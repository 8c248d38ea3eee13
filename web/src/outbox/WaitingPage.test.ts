import { afterEach, expect, test } from '@jest/globals';
import type { EntryBody } from '@brine/contract/entries';
import { asked, JOB, mountPage, settle } from '../../testing/mounting.ts';
import { useOutbox } from '../shared/outbox/outboxStore.ts';
import WaitingPage from './WaitingPage.vue';

const tess = { id: 'p1', name: 'Tess' };
const refused = {
  'POST /api/entries': {
    results: [{ id: 'x', status: 'refused', code: 'badInput', message: 'body.text: too long' }],
  },
};
// The database of the browser outlives a page; what a test left waiting is discarded.
afterEach(async () => {
  const outbox = useOutbox();
  for (const { entry } of [...outbox.entries]) await outbox.discard(entry.id);
});

async function waitingWith(bodies: readonly EntryBody[], answers: object) {
  const page = await mountPage(WaitingPage, { answers: { ...answers } });
  const outbox = useOutbox();
  await outbox.keepTicket({ ...tess, login: 'tess', role: 'technician', demo: false }, 'ticket');
  await outbox.add(tess, JOB, 0, bodies);
  await settle();
  return page;
}

test('empty: everything has arrived', async () => {
  const page = await mountPage(WaitingPage, { answers: {} });
  expect(page.text()).toContain('Nothing waits');
});

test('refused: the sentence stands beside the entry, which can be edited and is sent again', async () => {
  const page = await waitingWith([{ kind: 'note', text: 'long' }], refused);
  expect(page.text()).toContain('Refused: body.text: too long');
  await page.get('[data-test="edit"]').trigger('click');
  await settle();
  const field = document.querySelector<HTMLTextAreaElement>('[data-test="edit-text"]')!;
  field.value = 'short';
  field.dispatchEvent(new Event('input'));
  document.querySelector<HTMLButtonElement>('[data-test="send-edited"]')!.click();
  await settle();
  expect(asked.filter((a) => a.startsWith('POST /api/entries')).at(-1)).toContain('"text":"short"');
});

test('discarded: it is gone', async () => {
  const page = await waitingWith([{ kind: 'note', text: 'long' }], refused);
  await page.get('[data-test="discard"]').trigger('click');
  await settle();
  expect(page.text()).toContain('Nothing waits');
});
