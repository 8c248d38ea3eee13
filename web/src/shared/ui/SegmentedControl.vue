<script setup lang="ts" generic="Choice extends string">
defineProps<{
  label: string;
  options: readonly { readonly id: Choice; readonly name: string }[];
  modelValue: Choice;
}>();
defineEmits<{ 'update:modelValue': [choice: Choice] }>();
</script>

<template>
  <div
    role="radiogroup"
    :aria-label="label"
    class="inline-flex overflow-hidden rounded-md border border-edge bg-sheet"
  >
    <button
      v-for="option in options"
      :key="option.id"
      type="button"
      role="radio"
      :aria-checked="option.id === modelValue"
      class="min-h-9 px-4 pointer-coarse:min-h-11 text-[15px] font-medium"
      :class="option.id === modelValue ? 'bg-brine text-on-brine' : 'text-ink hover:bg-band'"
      @click="$emit('update:modelValue', option.id)"
    >
      {{ option.name }}
    </button>
  </div>
</template>
