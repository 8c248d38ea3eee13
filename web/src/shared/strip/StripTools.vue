<script setup lang="ts">
import { saveFile } from '../ui/saveFile.ts';
import { pngOf, standaloneSvg } from '../ui/exportDrawing.ts';

/** Zoom by button, and the strip as a file. */
const props = defineProps<{ csv: () => string; drawing: SVGSVGElement | null }>();
defineEmits<{ zoom: [factor: number] }>();

async function save(kind: 'csv' | 'svg' | 'png') {
  const name = `day-strip.${kind}`;
  if (kind === 'csv') return saveFile(name, new Blob([props.csv()], { type: 'text/csv' }));
  if (!props.drawing) return;
  const text = standaloneSvg(props.drawing);
  if (kind === 'svg') return saveFile(name, new Blob([text], { type: 'image/svg+xml' }));
  const { width, height } = props.drawing.getBoundingClientRect();
  const picture = await pngOf(text, width, height);
  if (picture) saveFile(name, picture);
}
</script>

<template>
  <span class="flex gap-2">
    <button type="button" class="link min-h-9 pointer-coarse:min-h-11 px-1" @click="$emit('zoom', 2)">
      zoom in
    </button>
    <button type="button" class="link min-h-9 pointer-coarse:min-h-11 px-1" @click="$emit('zoom', 0.5)">
      zoom out
    </button>
    <button
      v-for="kind in ['csv', 'svg', 'png'] as const"
      :key="kind"
      type="button"
      class="link min-h-9 pointer-coarse:min-h-11 px-1"
      :aria-label="`Save the strip as ${kind.toUpperCase()}`"
      :data-test="`save-${kind}`"
      @click="save(kind)"
    >
      {{ kind.toUpperCase() }}
    </button>
  </span>
</template>
