<script setup lang="ts">
/** One of the first steps: its number, or a tick once it is done. */
defineProps<{ step: number; title: string; done: boolean }>();
</script>

<template>
  <li class="grid grid-cols-[2.5rem_minmax(0,1fr)] border-b border-hairline py-4">
    <span class="text-[22px] font-semibold text-brine" aria-hidden="true">{{ done ? '✓' : step }}</span>
    <div>
      <h3 class="text-[16px] font-semibold">{{ title }}{{ done ? ', done' : '' }}</h3>
      <slot></slot>
    </div>
  </li>
</template>
