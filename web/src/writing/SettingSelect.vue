<script setup lang="ts">
import { computed } from 'vue';
import { dictionary, settingGroup, settingOf, type SettingId } from '@brine/core/foundation/settings';
import type { WritingRow } from './useWriting.ts';

/** What a row means: the proposal and the runner-up first, then the whole dictionary by group. */
const props = defineProps<{ row: WritingRow }>();
const emit = defineEmits<{ choose: [setting: SettingId | null] }>();
const near = computed(() =>
  [...new Set([props.row.setting, props.row.runnerUp?.setting])].filter((id): id is SettingId => Boolean(id)),
);
const groups = dictionary.reduce((all, setting) => {
  const name = settingGroup(setting.id);
  all.set(name, [...(all.get(name) ?? []), setting]);
  return all;
}, new Map<string, (typeof dictionary)[number][]>());
function choose(event: Event) {
  const { value } = event.target as HTMLSelectElement;
  emit('choose', value === '' ? null : (value as SettingId));
}
</script>

<template>
  <select
    class="w-full"
    :class="{ 'text-soft': row.setting === null }"
    :value="row.setting ?? ''"
    :aria-label="`${row.code || 'row'} means`"
    @change="choose"
  >
    <option value="">no common meaning</option>
    <optgroup v-if="near.length > 0" label="Match">
      <option v-for="id in near" :key="id" :value="id">{{ settingOf(id).label }}</option>
    </optgroup>
    <optgroup v-for="[name, settings] in groups" :key="name" :label="name">
      <option v-for="s in settings" :key="s.id" :value="s.id" :hidden="near.includes(s.id)">
        {{ s.label }}
      </option>
    </optgroup>
  </select>
</template>
