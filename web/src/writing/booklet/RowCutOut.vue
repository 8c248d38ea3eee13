<script setup lang="ts">
import { computed } from 'vue';
import type { ReadAt } from '@brine/core/controllers/pages';
import type { KeptPage } from './bookletStorage.ts';
import { usePictureAddress } from './usePictureAddress.ts';

/** The strip of the page from which a row was read, so that it is checked at a glance. */
const props = defineProps<{ page: KeptPage; at: ReadAt }>();
const address = usePictureAddress(() => props.page.picture);
/** Room around the strip, in heights of it. */
const AROUND = 0.2;
/** A page is shown as if it were so wide, pixels: its print is easy to read and no larger. */
const PAGE_WIDTH = 900;
const part = computed(() => {
  const { page, at } = props;
  const room = Math.min(at.bottom - at.top, page.height / 40) * AROUND;
  const [left, right] = [Math.max(0, at.left - room), Math.min(page.width, at.right + room)];
  const [top, bottom] = [Math.max(0, at.top - room), Math.min(page.height, at.bottom + room)];
  return { left, top, width: right - left, height: bottom - top };
});
const view = computed(() => `${part.value.left} ${part.value.top} ${part.value.width} ${part.value.height}`);
</script>

<template>
  <svg
    v-if="address"
    :viewBox="view"
    class="block max-h-24 bg-white"
    :style="{ width: `min(100%, ${Math.round((part.width * PAGE_WIDTH) / page.width)}px)` }"
    preserveAspectRatio="xMinYMid meet"
    role="img"
    :aria-label="`As printed on page ${at.page}`"
    data-test="cut-out"
  >
    <image :href="address" :width="page.width" :height="page.height" />
  </svg>
</template>
