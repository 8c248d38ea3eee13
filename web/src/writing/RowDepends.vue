<script setup lang="ts">
import { computed } from 'vue';
import type { RowCondition } from '@brine/core/controllers/suggest';
import type { LiveWriting, WritingRow } from './useWriting.ts';

/** On which other choice a row depends: the menu shows it for some of its options only. */
const props = defineProps<{ row: WritingRow; live: LiveWriting }>();
const masters = computed(() =>
  props.live.used.value.filter((other) => other.choices.length >= 2 && other.key !== props.row.key),
);
const master = computed(() => masters.value.find(({ code }) => code === props.row.condition?.code) ?? null);
function pick(code: string) {
  const found = masters.value.find((other) => other.code === code);
  props.live.depend(
    props.row.key,
    found ? { code, values: found.choices.slice(1).map((c) => c.value) } : null,
  );
}
function toggle(value: string, on: boolean) {
  const { code, values } = props.row.condition as RowCondition;
  const next = on ? [...values, value] : values.filter((one) => one !== value);
  if (next.length > 0) props.live.depend(props.row.key, { code, values: next });
}
</script>

<template>
  <div class="mt-1 flex flex-wrap items-center gap-x-3 gap-y-1 text-[14px] text-soft">
    <label class="flex items-center gap-1.5"
      >shown
      <select
        class="!min-h-8 pointer-coarse:!min-h-11 !py-0.5 text-[14px]"
        :value="row.condition?.code ?? ''"
        :aria-label="`${row.code} is shown`"
        @change="pick(($event.target as HTMLSelectElement).value)"
      >
        <option value="">always</option>
        <option v-for="m in masters" :key="m.key" :value="m.code">when {{ m.code }} is</option>
      </select></label
    >
    <label
      v-for="c in master?.choices ?? []"
      :key="c.value"
      class="flex min-h-8 pointer-coarse:min-h-11 items-center gap-1"
      ><input
        type="checkbox"
        :checked="row.condition!.values.includes(c.value)"
        @change="toggle(c.value, ($event.target as HTMLInputElement).checked)"
      /><span class="font-mono">{{ c.value }}</span></label
    >
  </div>
</template>
