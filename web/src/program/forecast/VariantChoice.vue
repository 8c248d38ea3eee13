<script setup lang="ts">
import { computed } from 'vue';
import type { Variant } from '@brine/core/record/job';

/** Which sets of values are compared: up to four at a time. */
const props = defineProps<{ variants: readonly Variant[]; modelValue: readonly string[] }>();
const emit = defineEmits<{ 'update:modelValue': [ids: readonly string[]] }>();
const MOST = 4;
const known = computed(() => props.modelValue.filter((id) => props.variants.some((v) => v.id === id)));
function toggle(id: string) {
  const on = known.value.includes(id);
  if (on && known.value.length === 1) return;
  if (!on && known.value.length >= MOST) return;
  emit('update:modelValue', on ? known.value.filter((other) => other !== id) : [...known.value, id]);
}
</script>

<template>
  <fieldset class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[14px]" data-test="variants">
    <legend class="sr-only">Sets of values to compare, at most four</legend>
    <label
      v-for="v in variants"
      :key="v.id"
      class="flex min-h-9 pointer-coarse:min-h-11 items-center gap-1.5"
    >
      <input
        type="checkbox"
        :checked="known.includes(v.id)"
        :disabled="!known.includes(v.id) && known.length >= MOST"
        :data-test="`variant-${v.id}`"
        @change="toggle(v.id)"
      />{{ v.name }}
    </label>
    <span v-if="known.length >= MOST" class="text-soft">Four at most.</span>
  </fieldset>
</template>
