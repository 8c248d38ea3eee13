<script setup lang="ts">
import { computed } from 'vue';
import { deedName, namedDeeds } from '@brine/core/controllers/panel';
import AppButton from '../shared/ui/AppButton.vue';
import AlarmCodes from './AlarmCodes.vue';
import ActRecorder from './keys/ActRecorder.vue';
import type { LiveWriting } from './useWriting.ts';
import type { WrittenShortcut } from './writing.ts';

/** What keys do outside the menu, shown the same way; and what the display shows when something is wrong. */
const props = defineProps<{ live: LiveWriting }>();
const list = computed(() => props.live.writing.value.shortcuts);
const left = computed(() => namedDeeds.filter((does) => !list.value.some((one) => one.does === does)));
const keys = computed(() => props.live.panel.value?.keys ?? props.live.writing.value.showing.keys);
const set = (shortcuts: readonly WrittenShortcut[]) => props.live.change({ shortcuts });
const change = (at: number, part: Partial<WrittenShortcut>) =>
  set(list.value.map((one, i) => (i === at ? { ...one, ...part } : one)));
</script>

<template>
  <div class="flex flex-col gap-8">
    <section aria-label="Direct actions" data-test="shortcuts">
      <h2 class="text-[17px]">Direct actions</h2>
      <p class="hint max-w-3xl">
        What keys do without the menu: start a defrost, lock the keys, clear an alarm. Show the keys from the
        normal display on; they stand on the sheet and are used by the tests.
      </p>
      <div
        v-for="(one, i) in list"
        :key="one.does"
        class="mt-3 border-t border-hairline pt-3"
        :data-shortcut="one.does"
      >
        <div class="flex flex-wrap items-center gap-4">
          <select
            :value="one.does"
            aria-label="Direct action"
            @change="change(i, { does: ($event.target as HTMLSelectElement).value })"
          >
            <option
              v-for="does in namedDeeds"
              :key="does"
              :value="does"
              :disabled="does !== one.does && !left.includes(does)"
            >
              {{ deedName(does) }}
            </option>
          </select>
          <AppButton kind="quiet" @click="set(list.filter((_, n) => n !== i))">Remove</AppButton>
        </div>
        <ActRecorder class="mt-2" :keys="keys" :steps="one.steps" @change="change(i, { steps: $event })" />
      </div>
      <AppButton
        v-if="left.length > 0"
        class="mt-3"
        data-test="add-shortcut"
        @click="set([...list, { does: left[0]!, steps: [] }])"
        >Add a direct action</AppButton
      >
    </section>
    <AlarmCodes :live="live" />
  </div>
</template>
