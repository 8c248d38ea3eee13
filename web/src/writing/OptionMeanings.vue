<script setup lang="ts">
import { computed } from 'vue';
import { printValue, settingOf } from '@brine/core/foundation/settings';
import type { WritingRow } from './useWriting.ts';

/** What each option of a row stands for: read from the words, to be said where they tell nothing. */
const props = defineProps<{ row: WritingRow }>();
const emit = defineEmits<{ say: [value: string, means: string | boolean] }>();
const choices = computed(() => {
  const setting = props.row.setting === null ? null : settingOf(props.row.setting);
  if (setting?.kind === 'flag')
    return [
      { id: 'true', words: 'yes' },
      { id: 'false', words: 'no' },
    ];
  return (setting?.choices ?? []).map((id) => ({ id, words: setting?.choiceLabels?.[id] ?? id }));
});
function say(value: string, event: Event) {
  const means = (event.target as HTMLSelectElement).value;
  emit('say', value, means === 'true' ? true : means === 'false' ? false : means);
}
</script>

<template>
  <ul class="mt-1 flex flex-wrap gap-x-3 gap-y-1">
    <li v-for="choice in row.choices" :key="choice.value" class="flex items-center gap-1.5 text-[14px]">
      <span class="font-mono font-semibold">{{ choice.value }}</span>
      <select
        v-if="choices.length > 0"
        class="!min-h-8 pointer-coarse:!min-h-11 !py-0.5 text-[14px]"
        :class="{ '!border-amber bg-amber-wash': !choice.sure }"
        :value="choice.means === null ? '' : String(choice.means)"
        :aria-label="`${row.code} ${choice.value} stands for`"
        @change="say(choice.value, $event)"
      >
        <option value="" disabled>say what it is</option>
        <option v-for="c in choices" :key="c.id" :value="c.id">{{ c.words }}</option>
      </select>
      <span v-else>{{ choice.words }}</span>
      <span v-if="choice.also" class="text-soft"
        >and {{ settingOf(choice.also.setting).label.toLowerCase() }}:
        {{ printValue(settingOf(choice.also.setting), choice.also.value) }}</span
      >
      <span v-if="choices.length > 0 && !choice.sure && choice.means !== null" class="text-[13px]"
        >by custom: check</span
      >
    </li>
  </ul>
</template>
