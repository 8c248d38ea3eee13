<script setup lang="ts">
import { computed } from 'vue';
import { parameterOf } from '@brine/core/controllers/definitions';
import { printShown } from '@brine/core/record/handover';
import { useDisplay } from '../shared/display/displayStore.ts';
import { useJob } from '../shared/job/useJob.ts';
import AllCodesRow from './AllCodesRow.vue';

/** Every code of the new control with what it is to be set to: what the plan thought of and what it did not. */
const job = useJob();
const display = useDisplay();
const program = computed(() => job.program.value);
/** Codes behind a choice, with the choice and what it would have to be. */
const behind = computed(() =>
  program.value.behind.map(({ parameter, value }) => {
    const condition = parameter.visibleWhen!;
    const master = parameterOf(job.replacement.value!, condition.code);
    const show = (v: string | number) => (master ? printShown(master, v, program.value.display!) : String(v));
    return {
      code: parameter.code,
      name: parameter.name,
      value: printShown(parameter, value, program.value.display!),
      master: condition.code,
      wanted: condition.in.map(show).join(' or '),
    };
  }),
);
</script>

<template>
  <div>
    <table class="table-plain" data-test="all-codes">
      <thead class="max-sm:hidden">
        <tr>
          <th class="w-16">Code</th>
          <th class="w-[14rem]">Meaning</th>
          <th class="w-[18rem]">Set to</th>
          <th>From where, and why</th>
        </tr>
      </thead>
      <tbody>
        <AllCodesRow v-for="row in program.rows" :key="row.code" :row="row" :words="display.words" />
      </tbody>
    </table>
    <section v-if="behind.length > 0" class="mt-4" data-test="behind">
      <h3>Not in force: behind another choice</h3>
      <p class="hint">The menu does not show these as the other codes are to stand.</p>
      <ul>
        <li v-for="b in behind" :key="b.code" class="border-b border-hairline py-1 text-[14px]">
          <span class="font-mono font-semibold">{{ b.code }}</span> {{ b.name }}
          <span class="text-soft"
            >would be <span class="font-mono">{{ b.value }}</span>; shows where
            <span class="font-mono">{{ b.master }}</span> is {{ b.wanted }}</span
          >
        </li>
      </ul>
    </section>
  </div>
</template>
