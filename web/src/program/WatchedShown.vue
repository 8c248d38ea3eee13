<script setup lang="ts">
import { computed } from 'vue';
import { showsAs } from '@brine/core/watching/characters';
import WatchButton from '../shared/watch/WatchButton.vue';
import { useWatchHere } from '../shared/watch/useWatchHere.ts';

/** What the camera reads on the display, held against what it must show. Whether that is so, whoever stands there answers. */
const props = defineProps<{ expected: string }>();
const { watching, isOn } = useWatchHere();
const agrees = computed(() => watching.text !== null && showsAs(watching.text, props.expected));
</script>

<template>
  <WatchButton v-if="!isOn" class="px-2 sm:px-5" />
  <p
    v-else-if="watching.text !== null"
    class="px-4 py-1 text-[15px] sm:px-7"
    :class="agrees ? 'bg-good-wash text-good' : 'bg-band'"
    role="status"
    data-test="watched-shown"
    :data-agrees="agrees"
  >
    <template v-if="agrees">✓ The camera reads {{ watching.text }}, as it must.</template>
    <template v-else>The camera reads {{ watching.text }}; it must come to {{ expected }}.</template>
  </p>
</template>
