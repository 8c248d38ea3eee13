<script setup lang="ts">
import { computed } from 'vue';

const props = withDefaults(
  defineProps<{
    kind?: 'primary' | 'plain' | 'quiet';
    type?: 'button' | 'submit';
    disabled?: boolean;
    wide?: boolean;
  }>(),
  {
    kind: 'plain',
    type: 'button',
  },
);
const look = computed(() => ({
  'border-brine bg-brine text-on-brine': props.kind === 'primary',
  'border-brine text-brine': props.kind === 'plain',
  'border-transparent text-brine underline underline-offset-2': props.kind === 'quiet',
  'px-4': props.kind !== 'quiet',
  'px-2': props.kind === 'quiet',
  'w-full justify-center': props.wide,
  'opacity-55': props.disabled,
}));
</script>

<template>
  <button
    :type="type"
    :disabled="disabled"
    class="inline-flex min-h-9 pointer-coarse:min-h-11 items-center gap-2 rounded-md border text-[15px] font-medium"
    :class="look"
  >
    <slot />
  </button>
</template>
