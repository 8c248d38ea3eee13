import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import type { EntryBody } from '@brine/contract/entries';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { inJob } from '../../testing/jobStage.ts';
import { jobAnswers, mountPage, surveyed } from '../../testing/mounting.ts';
import TestRun from '../prove/run/TestRun.vue';
import ProgramStation from './ProgramStation.vue';

/** A family that can defrost on demand and counts its interval in whole hours. */
const definition = JSON.parse(
  readFileSync(new URL('../../../demo/controllers/brae-f.controller.json', import.meta.url), 'utf8'),
) as ControllerDefinition;
const HASH = 'a'.repeat(64);
const { id, family, version } = definition;
const withControl = (...more: readonly EntryBody[]) =>
  jobAnswers(
    [
      ...surveyed,
      { kind: 'answer', question: 'probes', value: ['air', 'coil'] },
      { kind: 'answer', question: 'defrostMethod', value: 'electric' },
      { kind: 'control', role: 'new', definition: { id, family, version, hash: HASH } },
      ...more,
    ],
    { [`GET /api/controllers/${HASH}`]: { definition } },
  );

test('a complaint of frost beside a control that can defrost on demand: a word on it, and none without the complaint', async () => {
  const frosty = await mountPage(inJob(ProgramStation), {
    answers: withControl({ kind: 'answer', question: 'complaint', value: 'Coil is a block of ice' }),
  });
  expect(frosty.get('[data-test="may-demand"]').text()).toMatch(/defrost on demand; it is planned by hours/);
  const warm = await mountPage(inJob(ProgramStation), {
    answers: withControl({ kind: 'answer', question: 'complaint', value: 'Too warm at noon' }),
  });
  expect(warm.find('[data-test="may-demand"]').exists()).toBe(false);
});

test('a planned value the control cannot take as it is: the row says what it holds', async () => {
  const page = await mountPage(inJob(ProgramStation), {
    answers: withControl({
      kind: 'planned',
      setting: 'defrost.interval',
      value: { value: 330, unit: 'min' },
    }),
  });
  const row = page.get('[data-setting="defrost.interval"]');
  expect(row.get('[data-test="held"]').text()).toBe(`${family} holds 360 min.`);
});

test('what the judgement says against the values stands above the tests too', async () => {
  const sound = await mountPage(inJob(TestRun), { answers: withControl() });
  expect(sound.find('[data-test="prove-judged"]').exists()).toBe(false);
  const warm = await mountPage(inJob(TestRun), {
    // Warmer than milk may stand: 41 °F, FDA Food Code 2022 §3-501.16(A)(2).
    answers: withControl({
      kind: 'planned',
      setting: 'regulation.setpoint',
      value: { value: 50, unit: 'degF' },
    }),
  });
  expect(warm.get('[data-test="prove-judged"]').text()).toMatch(/41 °F/);
});
