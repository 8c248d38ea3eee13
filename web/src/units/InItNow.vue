<script setup lang="ts">
import { RouterLink } from 'vue-router';
import { localDate } from '../shared/display/localTime.ts';
import type { NamedJob } from '../shared/inUnit/jobsOfUnit.ts';
import { useInItNow } from './useInItNow.ts';

/** What somebody saw in the unit last: in sentences, then code by code with since when and by whom. */
const props = defineProps<{ jobs: readonly NamedJob[]; name: string }>();
const now = useInItNow(
  () => props.jobs,
  () => props.name,
);
</script>

<template>
  <section v-if="now" aria-label="In it now" data-test="in-it-now">
    <h2>In it now</h2>
    <p class="text-soft">
      {{ now.control
      }}<template v-if="now.planned > 0"
        >; {{ now.planned }} {{ now.planned === 1 ? 'value is' : 'values are' }} planned and not in it yet,
        <RouterLink class="link" :to="`/jobs/${now.job}/program/cabinet`">key them in</RouterLink></template
      >
    </p>
    <ul class="mt-1 list-disc pl-5">
      <li v-for="line in now.words" :key="line">{{ line }}</li>
    </ul>
    <details class="mt-2">
      <summary class="min-h-8 cursor-pointer pointer-coarse:min-h-11 pointer-coarse:content-center">
        {{ now.rows.length }} {{ now.rows.length === 1 ? 'code' : 'codes' }}, since when and by whom
      </summary>
      <table class="table-plain table-stack mt-1">
        <tbody>
          <tr v-for="row in now.rows" :key="row.code">
            <td class="font-mono font-semibold">{{ row.code }}</td>
            <td>{{ row.name }}</td>
            <td class="text-right font-mono">{{ row.value }}</td>
            <td class="!pr-0 text-soft">{{ localDate(row.since) }}{{ row.by ? `, ${row.by}` : '' }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>
