<script setup lang="ts">
import { computed } from 'vue';
import { printShown } from '@brine/core/record/handover';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import GraveLosses from './GraveLosses.vue';
import BrokenOffLine from './interrupted/BrokenOffLine.vue';
import type { Interrupted } from './interrupted/useInterrupted.ts';
import type { Cabinet } from './useCabinet.ts';

/** The codes on a phone: how far it is, each with what it is set to; any opens cabinet mode. */
const props = defineProps<{ cabinet: Cabinet; interrupted: Interrupted }>();
const emit = defineEmits<{ open: [code: string | null]; bus: [] }>();
const job = useJob();
const session = useSession();
const hasBus = computed(() => job.replacement.value?.registers?.some(({ writable }) => writable) ?? false);
const display = computed(() => job.program.value.display!);
const marks = { keyed: '✓', byPreset: '✓', skipped: '–', showsElse: '≠', open: '○' } as const;
const words = computed(
  () => `${props.cabinet.settled.value} of ${props.cabinet.rows.value.length} codes settled.`,
);
</script>

<template>
  <div class="flex flex-col gap-3 pb-4" data-test="cabinet-list">
    <BrokenOffLine :interrupted="interrupted" />
    <GraveLosses />
    <p>{{ words }}</p>
    <AppButton
      kind="primary"
      wide
      class="!min-h-14 text-[17px]"
      data-test="open-mode"
      @click="emit('open', null)"
      >{{
        cabinet.allDone.value
          ? 'Leave the menu'
          : `Cabinet mode: go on at ${cabinet.current.value?.code ?? ''}`
      }}</AppButton
    >
    <AppButton v-if="hasBus && session.mayWrite" wide data-test="write-by-bus" @click="emit('bus')"
      >Write over the bus</AppButton
    >
    <ul class="border-t border-ink">
      <li v-for="row in cabinet.rows.value" :key="row.code" class="border-b border-hairline">
        <button
          type="button"
          class="flex min-h-12 w-full items-baseline gap-3 py-2 text-left"
          :data-code="row.code"
          @click="emit('open', row.code)"
        >
          <span class="w-5 text-center" :class="{ 'text-soft': row.state === 'open' }">{{
            marks[row.state]
          }}</span>
          <span class="min-w-14 font-mono font-semibold">{{ row.code }}</span>
          <span class="min-w-0 flex-1">{{ row.parameter.name }}</span>
          <span class="max-w-[45%] text-right font-mono font-semibold">{{
            row.undecided ? 'decide' : printShown(row.parameter, row.value, display)
          }}</span>
        </button>
      </li>
    </ul>
  </div>
</template>
