<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { ChosenValue } from '@brine/core/record/job';
import { settingGroup } from '@brine/core/foundation/settings';
import { useJob } from '../shared/job/useJob.ts';
import { nextPicture } from '../shared/ui/useDrawn.ts';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import AllCodes from './AllCodes.vue';
import PlanRow from './PlanRow.vue';

const job = useJob();
const groups = computed(() => {
  const byTitle = new Map<string, ChosenValue[]>();
  for (const chosen of job.program.value.chosen) {
    const title = settingGroup(chosen.setting);
    byTitle.set(title, [...(byTitle.get(title) ?? []), chosen]);
  }
  return [...byTitle].map(([title, values]) => ({ title, values }));
});
/** How many groups stand: one after the other, each with a picture of its own. All at once a slow phone shows nothing for a second. */
const standing = ref(1);
watch(
  () => groups.value.length,
  async (all) => {
    while (standing.value < all) {
      await nextPicture();
      standing.value += 1;
    }
  },
  { immediate: true },
);
/** What the plan thought of, or whatever the control has. */
const which = ref<'planned' | 'all'>('planned');
const whiches = computed(() => [
  { id: 'planned' as const, name: `Planned (${job.program.value.chosen.length})` },
  { id: 'all' as const, name: `All codes (${job.program.value.rows.length})` },
]);
</script>

<template>
  <div>
    <SegmentedControl
      v-if="job.replacement.value"
      v-model="which"
      class="mb-3"
      label="Which values"
      :options="whiches"
      data-test="plan-which"
    />
    <AllCodes v-if="which === 'all' && job.replacement.value" />
    <table v-else class="table-plain" data-test="plan">
      <thead class="max-sm:hidden">
        <tr>
          <th class="w-[12rem]">Setting</th>
          <th class="w-[17.5rem]">Planned</th>
          <th>Why, and what is usual</th>
        </tr>
      </thead>
      <tbody v-for="group in groups.slice(0, standing)" :key="group.title">
        <tr>
          <th
            colspan="3"
            scope="rowgroup"
            class="!border-hairline bg-band !px-2 !text-[14px] !font-semibold !text-ink"
          >
            {{ group.title }}
          </th>
        </tr>
        <PlanRow v-for="chosen in group.values" :key="chosen.setting" :chosen="chosen" />
      </tbody>
    </table>
  </div>
</template>
