<script setup lang="ts">
import { computed, ref } from 'vue';
import type { AddressCount } from '@brine/core/controllers/suggest';
import LineChoice from '../../shared/bus/LineChoice.vue';
import AppButton from '../../shared/ui/AppButton.vue';
import SiteField from '../../shared/ui/SiteField.vue';
import type { Trial } from './useTrial.ts';
import type { WritesRegisters } from './writesRegisters.ts';

/** Trying the registers on a device that hangs on a line: which, and what all of them together say. */
const props = defineProps<{ live: WritesRegisters; trial: Trial }>();
const open = ref(false);
const judged = computed(() => props.trial.judged.value);
const fitting = computed(() => [...(judged.value?.rows.values() ?? [])].filter(({ fits }) => fits).length);
/** How addresses would have to count so that all would fit better. */
const better = computed<AddressCount | null>(() => {
  const shift = judged.value?.shift ?? 0;
  return shift === 0 ? null : shift === -1 ? 'fromOne' : 'fromZero';
});
</script>

<template>
  <div class="border-l-4 border-cold bg-band p-3" data-test="trial">
    <button
      v-if="!open"
      type="button"
      class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
      data-test="trial-open"
      @click="open = true"
    >
      Try them on a device that is on a line
    </button>
    <div v-else class="flex flex-col gap-3">
      <p class="hint">
        Only read, nothing is written. The words it answers stand beside each row, with what they would mean.
      </p>
      <label class="flex max-w-72 flex-col gap-1"
        ><span class="field-label">Site</span
        ><SiteField :model-value="trial.site.value" @update:model-value="trial.choose"
      /></label>
      <LineChoice :on="trial.on">
        <AppButton
          kind="primary"
          :disabled="trial.on.isBusy.value || live.registers.value.registers.length === 0"
          data-test="trial-all"
          @click="trial.ask(live.registers.value.registers)"
          >Try all</AppButton
        >
      </LineChoice>
      <p v-if="judged" role="status" data-test="trial-words">
        {{ fitting }} of {{ judged.rows.size }} can be what they are taken for.
      </p>
      <p
        v-if="better && better !== live.writing.value.registers.count"
        class="border-l-4 border-amber bg-amber-wash px-3 py-2"
        data-test="trial-shift"
      >
        ? All would fit better one address {{ better === 'fromOne' ? 'lower' : 'higher' }}.
        <button
          type="button"
          class="link min-h-9 pointer-coarse:min-h-11"
          data-test="trial-shift-take"
          @click="live.writeRegisters({ count: better })"
        >
          Count addresses {{ better === 'fromOne' ? 'from 1' : 'from 0' }}
        </button>
      </p>
    </div>
  </div>
</template>
