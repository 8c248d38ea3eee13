<script setup lang="ts">
import { computed } from 'vue';
import type { ChosenValue } from '@brine/core/record/job';
import { settingGroup } from '@brine/core/foundation/settings';
import { useJob } from '../shared/job/useJob.ts';
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
</script>

<template>
  <div>
    <table class="table-plain" data-test="plan">
      <thead class="max-sm:hidden">
        <tr>
          <th class="w-[12rem]">Setting</th>
          <th class="w-[17.5rem]">Planned</th>
          <th>Why, and what is usual</th>
        </tr>
      </thead>
      <tbody v-for="group in groups" :key="group.title">
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
