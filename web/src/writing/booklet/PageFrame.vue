<script setup lang="ts">
import { computed, ref } from 'vue';
import AppButton from '../../shared/ui/AppButton.vue';
import type { KeptPage, PageFrame } from './bookletStorage.ts';
import { usePictureAddress } from './usePictureAddress.ts';

/** A page as it is printed, with the part of it that is read; drawing a frame limits it. */
const props = defineProps<{ page: KeptPage; frame: PageFrame | null }>();
const emit = defineEmits<{ frame: [part: PageFrame | null] }>();
const address = usePictureAddress(() => props.page.picture);
const board = ref<SVGSVGElement | null>(null);
const from = ref<{ x: number; y: number } | null>(null);
const to = ref<{ x: number; y: number } | null>(null);
const drawing = computed<PageFrame | null>(() =>
  from.value && to.value
    ? {
        left: Math.min(from.value.x, to.value.x),
        top: Math.min(from.value.y, to.value.y),
        right: Math.max(from.value.x, to.value.x),
        bottom: Math.max(from.value.y, to.value.y),
      }
    : null,
);
const shown = computed(() => drawing.value ?? props.frame);
function pointOf(event: PointerEvent) {
  const box = board.value!.getBoundingClientRect();
  return {
    x: ((event.clientX - box.left) / box.width) * props.page.width,
    y: ((event.clientY - box.top) / box.height) * props.page.height,
  };
}
function begin(event: PointerEvent) {
  board.value!.setPointerCapture(event.pointerId);
  from.value = to.value = pointOf(event);
}
function end() {
  const part = drawing.value;
  from.value = to.value = null;
  // A mere tap draws nothing.
  const [wide, high] = [props.page.width / 30, props.page.height / 60];
  if (part && part.right - part.left > wide && part.bottom - part.top > high) emit('frame', part);
}
</script>

<template>
  <figure>
    <svg
      v-if="address"
      ref="board"
      :viewBox="`0 0 ${page.width} ${page.height}`"
      class="block w-full cursor-crosshair touch-none border border-edge bg-white"
      role="img"
      :aria-label="`Page ${page.page}`"
      data-test="page-picture"
      @pointerdown="begin"
      @pointermove="from && (to = pointOf($event))"
      @pointerup="end"
      @pointercancel="from = to = null"
    >
      <image :href="address" :width="page.width" :height="page.height" />
      <template v-if="shown">
        <path
          :d="`M0 0H${page.width}V${page.height}H0Z M${shown.left} ${shown.top}V${shown.bottom}H${shown.right}V${shown.top}Z`"
          fill="black"
          fill-opacity="0.35"
          fill-rule="evenodd"
        />
        <rect
          :x="shown.left"
          :y="shown.top"
          :width="shown.right - shown.left"
          :height="shown.bottom - shown.top"
          fill="none"
          stroke="black"
          stroke-dasharray="6 4"
          vector-effect="non-scaling-stroke"
        />
      </template>
    </svg>
    <figcaption class="mt-1 flex flex-wrap items-center gap-3 text-[14px] text-soft">
      <template v-if="frame"
        >Only the part in the frame is read.
        <AppButton kind="quiet" @click="emit('frame', null)">Read the whole page</AppButton></template
      >
      <template v-else>Draw a frame to read one part of the page only.</template>
    </figcaption>
  </figure>
</template>
