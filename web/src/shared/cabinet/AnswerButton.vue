<script setup lang="ts">
/** An answer in the lower half of cabinet mode: the main one large and green, the others beside it. */
withDefaults(defineProps<{ kind?: 'main' | 'side'; type?: 'button' | 'submit'; disabled?: boolean }>(), {
  kind: 'side',
  type: 'button',
  disabled: false,
});
const looks = {
  main: 'flex-col justify-evenly bg-good p-3 text-[17px] text-on-flag',
  side: 'min-h-16 justify-center border-t border-edge bg-band p-2 text-[17px] leading-tight font-semibold',
};
</script>

<template>
  <button
    :type="type"
    :disabled="disabled"
    class="flex flex-1 basis-0 items-center text-center"
    :class="[looks[kind], disabled && 'opacity-50']"
  >
    <slot />
  </button>
</template>
