<script setup lang="ts">
import { RouterLink } from 'vue-router';
import type { UnitHistory } from '@brine/core/record/history';
import { addressOf } from '../shared/api/client.ts';
import { localDate } from '../shared/display/localTime.ts';
import { useDisplay } from '../shared/display/displayStore.ts';

/** What is kept of a unit over the years: papers, logs, photographs. */
defineProps<{ history: Pick<UnitHistory, 'papers' | 'logs' | 'pictures'> }>();
const display = useDisplay();
/** A moment on the logger's own clock, to the minute. */
const moment = (iso: string) => iso.replace('T', ' ').replace(/(\d\d:\d\d):\d\d.*$/, '$1');
const paper = (job: string, whom: 'site' | 'file') =>
  addressOf('sheet', { id: job }, { for: whom, unit: display.unit });
</script>

<template>
  <section v-if="history.papers.length > 0" aria-label="Papers" data-test="unit-papers">
    <h2>Papers</h2>
    <ul class="mt-1">
      <li
        v-for="one in history.papers"
        :key="one.job"
        class="flex flex-wrap items-baseline gap-x-4 border-b border-hairline py-1.5"
      >
        <span class="min-w-0 flex-1"
          >{{ localDate(one.at) }} <span class="text-soft">{{ one.title }}, to {{ one.to }}</span></span
        >
        <a class="link" :href="paper(one.job, 'site')" target="_blank" rel="noopener">for the site</a>
        <a class="link" :href="paper(one.job, 'file')" target="_blank" rel="noopener">for the file</a>
      </li>
    </ul>
  </section>
  <section v-if="history.logs.length > 0" aria-label="Logs" data-test="unit-logs">
    <h2>Logs</h2>
    <ul class="mt-1">
      <li v-for="(one, i) in history.logs" :key="i" class="border-b border-hairline py-1.5">
        <RouterLink class="link" :to="`/jobs/${one.job}/prove/log`">{{ one.name }}</RouterLink>
        <span class="ml-3 text-soft"
          >{{ moment(one.from) }} to {{ moment(one.to) }}, {{ one.samples }} readings</span
        >
      </li>
    </ul>
  </section>
  <section v-if="history.pictures.length > 0" aria-label="Photographs" data-test="unit-pictures">
    <h2>Photographs</h2>
    <ul class="mt-2 flex flex-wrap gap-3">
      <li v-for="one in history.pictures" :key="one.id" class="w-32">
        <a :href="addressOf('picture', { id: one.job, picture: one.id })" target="_blank" rel="noopener"
          ><img
            :src="addressOf('picture', { id: one.job, picture: one.id })"
            :alt="one.caption || 'Photograph'"
            class="h-24 w-32 border border-hairline object-cover"
            loading="lazy"
        /></a>
        <span class="hint block">{{ one.caption || 'without a caption' }}, {{ localDate(one.at) }}</span>
      </li>
    </ul>
  </section>
</template>
