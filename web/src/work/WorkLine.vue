<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { Work } from '@brine/contract/routes';
import { addressOf } from '../shared/api/client.ts';
import { localDateTime } from '../shared/display/localTime.ts';

/** One piece of work: who asked, how far it is, and what can be done about it. */
const props = defineProps<{ work: Work }>();
defineEmits<{ stop: [] }>();
const open = computed(() => props.work.state === 'waiting' || props.work.state === 'running');
const things = computed(
  () => `${props.work.kind === 'jobFiles' ? 'job' : 'unit'}${props.work.total === 1 ? '' : 's'}`,
);
const words = computed(() => {
  const { state, done, total } = props.work;
  const so = `${done} of ${total} ${things.value}`;
  if (state === 'waiting') return total === 0 ? 'Waiting for a server' : `Waiting to go on: ${so}`;
  if (state === 'running') return total === 0 ? 'Begun' : so;
  if (state === 'stopped') return `Stopped: ${so}`;
  return state === 'done' ? `✓ ${total} ${things.value}` : '! Failed';
});
</script>

<template>
  <tr class="align-top" data-test="work-line">
    <td>{{ work.title }}</td>
    <td>
      {{ work.askedBy }}<span class="block text-[14px] text-soft">{{ localDateTime(work.askedAt) }}</span>
    </td>
    <td>
      <span :class="{ 'text-alarm': work.state === 'failed' }">{{ words }}</span>
      <progress
        v-if="open && work.total > 0"
        class="mt-1 block bar w-full max-w-56"
        :value="work.done"
        :max="work.total"
        :aria-label="work.title"
      ></progress>
      <span v-if="work.problem" class="block text-[14px] text-alarm">{{ work.problem }}</span>
    </td>
    <td class="text-right max-sm:text-left">
      <button
        v-if="open && work.mayStop"
        type="button"
        class="link inline-flex min-h-9 pointer-coarse:min-h-11 items-start"
        data-test="stop-work"
        @click="$emit('stop')"
      >
        Stop
      </button>
      <a
        v-else-if="work.file"
        class="link inline-flex min-h-9 pointer-coarse:min-h-11 items-start"
        :href="addressOf('workFile', { id: work.id })"
        :download="work.file"
        >Take {{ work.file }}</a
      >
      <RouterLink
        v-else-if="work.kind === 'review'"
        class="link inline-flex min-h-9 pointer-coarse:min-h-11 items-start"
        :to="{ path: '/units/review', query: { id: work.id } }"
        >Look at it</RouterLink
      >
    </td>
  </tr>
</template>
