<script setup lang="ts">
import { nextTick, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue';
import type { SheetWish } from '@brine/core/record/print';
import { readingPdf } from '../shared/pdf/pdfLibrary.ts';
import { useJob } from '../shared/job/useJob.ts';
import FormProblem from '../shared/ui/FormProblem.vue';
import { sheetHere, type Printing } from './sheetHere.ts';

/** A paper as it prints: the pages of the very PDF, made on this device and drawn. Whoever does not see them hears their text. */
const props = defineProps<{ wish: SheetWish; printing: Printing }>();
const job = useJob();
/** It is made anew once nothing has changed for this long. */
const REST_MS = 700;
const problem = ref<string | null>(null);
const pages = shallowRef<
  readonly { readonly width: number; readonly height: number; readonly text: string }[]
>([]);
const canvases = useTemplateRef<HTMLCanvasElement[]>('canvases');
let timer: ReturnType<typeof setTimeout> | undefined;
let last = 0;

watch(
  () => [JSON.stringify(props.wish), props.printing, job.state.value] as const,
  () => {
    clearTimeout(timer);
    timer = setTimeout(() => void draw(), pages.value.length === 0 ? 0 : REST_MS);
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  clearTimeout(timer);
  last = -1;
});

async function draw() {
  last += 1;
  const mine = last;
  try {
    const { pdf } = await sheetHere(job, props.wish, props.printing);
    const task = await readingPdf(await pdf.arrayBuffer());
    const read = await task.promise;
    const all = await Promise.all(
      Array.from({ length: read.numPages }, async (_, i) => {
        const page = await read.getPage(i + 1);
        const { width, height } = page.getViewport({ scale: 1 });
        const { items } = await page.getTextContent();
        const text = items.map((item) => ('str' in item ? item.str : '')).join(' ');
        return { page, width, height, text };
      }),
    );
    if (mine !== last) return void task.destroy();
    pages.value = all;
    problem.value = null;
    await nextTick();
    for (const [i, canvas] of (canvases.value ?? []).entries()) {
      const { page, width } = all[i]!;
      const scale = (canvas.clientWidth / width) * Math.min(2, devicePixelRatio || 1);
      const viewport = page.getViewport({ scale: Math.max(1, scale) });
      [canvas.width, canvas.height] = [Math.round(viewport.width), Math.round(viewport.height)];
      await page.render({ canvasContext: canvas.getContext('2d')!, viewport }).promise;
    }
    await task.destroy();
  } catch (error) {
    if (mine === last) problem.value = (error as Error).message;
  }
}
</script>

<template>
  <div :data-pages="pages.length" data-test="paper">
    <FormProblem :message="problem" />
    <p v-if="pages.length === 0 && !problem" class="text-soft" role="status">Making it …</p>
    <figure v-for="(page, i) in pages" :key="i" class="mx-auto mb-4 max-w-3xl">
      <canvas
        ref="canvases"
        class="w-full border border-hairline bg-white"
        :style="{ aspectRatio: `${page.width} / ${page.height}` }"
        aria-hidden="true"
      ></canvas>
      <figcaption class="sr-only" data-test="paper-text">{{ page.text }}</figcaption>
    </figure>
  </div>
</template>
