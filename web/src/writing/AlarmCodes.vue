<script setup lang="ts">
import { computed } from 'vue';
import ConnectionLines from './ConnectionLines.vue';
import type { LiveWriting, WrittenAlarm } from './useWriting.ts';

/** What the display shows when something is wrong: it stands on the sheet left in the unit. */
const props = defineProps<{ live: LiveWriting }>();
const list = computed(() => props.live.writing.value.alarms);
const set = (alarms: readonly WrittenAlarm[] | null) => props.live.change({ alarms });
const change = (at: number, part: Partial<WrittenAlarm>) =>
  set((list.value ?? []).map((alarm, i) => (i === at ? { ...alarm, ...part } : alarm)));
const value = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <ConnectionLines
    title="Alarm codes"
    one="an alarm code"
    :list="list"
    @state="set"
    @add="set([...(list ?? []), { code: '', means: '', severity: 'check', checks: '' }])"
  >
    <template #default="{ item, at }">
      <label
        ><span class="field-label">Shows</span
        ><input
          class="w-20 font-mono"
          maxlength="20"
          :value="item.code"
          data-test="alarm-code"
          @input="change(at, { code: value($event) })"
      /></label>
      <label class="min-w-48 flex-1"
        ><span class="field-label">Means</span
        ><input
          maxlength="200"
          :value="item.means"
          data-test="alarm-means"
          @input="change(at, { means: value($event) })"
      /></label>
      <label class="min-w-48 flex-1"
        ><span class="field-label">Look first at, parted by semicolons</span
        ><input maxlength="400" :value="item.checks" @input="change(at, { checks: value($event) })"
      /></label>
      <label
        ><span class="field-label">What it does</span
        ><select
          :value="item.severity"
          @change="change(at, { severity: value($event) as WrittenAlarm['severity'] })"
        >
          <option value="check">shows it</option>
          <option value="shutdown">stops the unit</option>
        </select></label
      >
    </template>
  </ConnectionLines>
</template>
