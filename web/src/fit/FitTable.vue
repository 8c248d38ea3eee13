<script setup lang="ts">
import type { Fit } from '@brine/core/judgement/fit';
import type { FitRow } from './useFit.ts';

defineProps<{ rows: readonly FitRow[]; picked: string | null; chosen: string | null }>();
defineEmits<{ pick: [id: string] }>();
const verdicts: Readonly<Record<Fit['verdict'], { mark: string; words: string; look: string }>> = {
  fits: { mark: '✓', words: 'fits', look: 'text-good' },
  bridged: { mark: '+', words: 'with a bridge', look: 'text-ink' },
  cannot: { mark: '✗', words: 'cannot', look: 'text-alarm' },
};
</script>

<template>
  <ol class="border-t border-ink" data-test="fit-table">
    <li
      v-for="row in rows"
      :key="row.fit.id"
      class="border-b border-hairline"
      :class="{ 'bg-band': row.fit.id === picked }"
      :data-fit="row.fit.id"
    >
      <button
        type="button"
        class="grid min-h-11 w-full grid-cols-[1.8rem_minmax(0,8rem)_7.5rem_minmax(0,1fr)] items-baseline gap-x-3 py-2 text-left hover:bg-band max-sm:grid-cols-[1.8rem_minmax(0,1fr)_7.5rem]"
        :aria-pressed="row.fit.id === picked"
        @click="$emit('pick', row.fit.id)"
      >
        <span class="text-right font-mono text-[13px] text-soft">{{ row.fit.rank }}</span>
        <span class="font-medium"
          >{{ row.fit.family }}<span v-if="row.fit.id === chosen" class="hint block">✓ chosen</span></span
        >
        <span class="font-medium" :class="verdicts[row.fit.verdict].look"
          >{{ verdicts[row.fit.verdict].mark }} {{ verdicts[row.fit.verdict].words }}</span
        >
        <span class="text-soft max-sm:col-span-3 max-sm:pl-[2.55rem]">{{ row.summary }}</span>
      </button>
    </li>
  </ol>
</template>
