<script setup lang="ts">
/** Lines of a pasted table that were taken for no row: nothing is dropped in silence. */
defineProps<{
  lines: readonly { readonly line: number; readonly text: string; readonly as?: string }[];
  /** What a row is called here. */
  row: string;
}>();
</script>

<template>
  <details v-if="lines.length > 0" class="text-[14px]">
    <summary class="link py-1">
      {{ lines.length }} {{ lines.length === 1 ? 'line is' : 'lines are' }} no {{ row }}
    </summary>
    <ul class="mt-1 max-h-56 overflow-auto">
      <li v-for="line in lines" :key="line.line" class="border-b border-hairline py-0.5">
        <span class="inline-block w-12 font-mono text-soft">{{ line.line }}</span>
        {{ line.text }} <span v-if="line.as" class="text-soft">{{ line.as }}</span>
      </li>
    </ul>
  </details>
</template>
