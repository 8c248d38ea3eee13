<script setup lang="ts">
/** Opens and shuts what is asked of the control. */
const isOpen = defineModel<boolean>({ required: true });
</script>

<template>
  <button
    type="button"
    class="link block min-h-9 text-left text-[14px] pointer-coarse:min-h-11 print:hidden"
    :aria-expanded="isOpen"
    data-test="ask-open"
    @click="isOpen = !isOpen"
  >
    <slot>In doubt? Ask the control</slot>
  </button>
</template>
