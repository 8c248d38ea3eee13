import { expect, test } from '@jest/globals';
import type { JudgedFinding } from '@brine/core/judgement/verdict';
import { mountPage } from '../../../testing/mounting.ts';
import FindingList from './FindingList.vue';

const finding = (code: string, more: Partial<JudgedFinding>): JudgedFinding => ({
  code,
  severity: 'warning',
  by: 'run',
  settings: [],
  message: `What ${code} says.`,
  numbers: {},
  remedy: null,
  ...more,
});
const byValues = finding('drainTooShort', {
  remedy: { values: { 'defrost.drainTime': { value: 5, unit: 'min' } }, words: 'Drain time 5 min' },
});
const byWork = finding('iceGrows', {
  severity: 'error',
  remedy: { work: 'stripCurtain', words: 'A strip curtain in the doorway.' },
});
const follows = finding('runsAllDay', { severity: 'note', consequenceOf: 'iceGrows' });
const mount = (editable: boolean) =>
  mountPage(FindingList, { props: { findings: [byWork, byValues, follows], editable }, answers: {} });

test('work is said, it is no button; values are one press away', async () => {
  const list = await mount(true);
  const line = (code: string) => list.get(`[data-code="${code}"]`);
  expect(line('iceGrows').text()).toContain('A strip curtain in the doorway.');
  expect(line('iceGrows').find('button').exists()).toBe(false);
  await line('drainTooShort').get('[data-test="remedy"]').trigger('click');
  const [taken] = list.findComponent(FindingList).emitted('take')!;
  expect(taken).toEqual([byValues.remedy, byValues]);
});

test('what follows from another says so and offers nothing', async () => {
  const list = await mount(true);
  const line = list.get('[data-code="runsAllDay"]');
  expect(line.text()).toContain('follows from the finding above');
  expect(line.find('button').exists()).toBe(false);
});

test('who only reads is offered no change', async () => {
  const list = await mount(false);
  expect(list.findAll('[data-test="remedy"]')).toHaveLength(0);
  expect(list.text()).toContain('A strip curtain');
});
