import { expect, test } from '@jest/globals';
import { defineComponent, h } from 'vue';
import { frostLooksOf } from '@brine/core/record/job';
import { inJob } from '../../../testing/jobStage.ts';
import { jobAnswers, mountPage, settle } from '../../../testing/mounting.ts';
import { useJob } from '../../shared/job/useJob.ts';
import FrostGrid from './FrostGrid.vue';

/** The grid over the looks that the job holds. */
const OnJob = defineComponent({
  setup() {
    const job = useJob();
    return () =>
      h(FrostGrid, {
        rows: 2,
        columns: 2,
        looks: frostLooksOf(job.state.value),
        sensor: { row: 1, column: 1 },
        editable: true,
      });
  },
});
const level = (page: Awaited<ReturnType<typeof mountPage>>, at: string) =>
  page.get(`[data-cell="${at}"]`).text().slice(0, 1);

test('a second look leaves the first as it was; both can be read again', async () => {
  const page = await mountPage(inJob(OnJob), {
    answers: jobAnswers([{ kind: 'frostNote', row: 1, column: 2, level: 3 }]),
  });
  expect(level(page, '1:2')).toBe('3');
  await page
    .findAll('button')
    .find((b) => b.text() === 'Another look')!
    .trigger('click');
  expect(level(page, '1:2')).toBe('·');
  for (let press = 0; press < 2; press += 1) {
    await page.get('[data-cell="1:2"]').trigger('click');
    await settle();
  }
  expect(level(page, '1:2')).toBe('1');
  await page.findAll('[role="radio"]')[0]!.trigger('click');
  expect(level(page, '1:2')).toBe('3');
});
