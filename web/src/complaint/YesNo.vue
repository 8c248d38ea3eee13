<script setup lang="ts">
import { computed } from 'vue';

/** Yes, no, or not looked at: pressing what stands takes it back. */
const props = defineProps<{ label: string; value: boolean | null; editable: boolean }>();
const emit = defineEmits<{ answer: [value: boolean | null] }>();
const options = computed(() => [
  { id: true, name: 'Yes', on: props.value === true },
  { id: false, name: 'No', on: props.value === false },
]);
const press = (id: boolean) => emit('answer', props.value === id ? null : id);
</script>

<template>
  <span class="inline-flex overflow-hidden rounded-md border border-edge" role="group" :aria-label="label">
    <button
      v-for="o in options"
      :key="o.name"
      type="button"
      class="min-h-9 min-w-12 pointer-coarse:min-h-11 px-3 text-[14px] font-medium"
      :class="o.on ? 'bg-brine text-on-brine' : 'bg-sheet text-ink'"
      :aria-pressed="o.on"
      :disabled="!editable"
      @click="press(o.id)"
    >
      {{ o.name }}
    </button>
  </span>
</template>
