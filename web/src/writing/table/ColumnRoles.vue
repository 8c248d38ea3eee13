<script setup lang="ts" generic="Role extends string">
import { keysOf } from './keysOf.ts';

/** What the columns of a pasted table were found to hold, to be put right. */
const props = defineProps<{ roles: readonly Role[]; words: Readonly<Record<Role, string>> }>();
const emit = defineEmits<{ change: [roles: Role[]] }>();
const choices = keysOf(props.words);
function set(index: number, { selectedIndex }: HTMLSelectElement) {
  const chosen = choices[selectedIndex];
  if (chosen === undefined) return;
  emit(
    'change',
    props.roles.map((role, i) => (i === index ? chosen : role)),
  );
}
</script>

<template>
  <div v-if="roles.length > 0" class="flex flex-wrap items-end gap-x-4 gap-y-2 text-[14px]">
    <span class="text-soft"><slot />Columns:</span>
    <label v-for="(role, i) in roles" :key="i" class="flex items-center gap-1.5"
      >{{ i + 1 }}
      <select
        class="!min-h-8 pointer-coarse:!min-h-11 !py-0.5 text-[14px]"
        :value="role"
        :aria-label="`Column ${i + 1} holds`"
        @change="set(i, $event.currentTarget as HTMLSelectElement)"
      >
        <option v-for="one in choices" :key="one" :value="one">{{ words[one] }}</option>
      </select>
    </label>
  </div>
</template>
