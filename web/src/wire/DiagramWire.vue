<script setup lang="ts">
import { computed } from 'vue';
import type { Link } from './diagram.ts';
import type { Point } from './layOut.ts';

const props = defineProps<{
  link: Link;
  bends: readonly Point[];
  words: string;
  colour: string;
  live: boolean;
  picked: boolean;
  open: boolean;
}>();
defineEmits<{ pick: [] }>();
const path = computed(() => props.bends.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.x} ${p.y}`).join(''));
const width = computed(() => (props.live ? 3.6 : 1.6));
const dash = computed(() => (props.link.change === 'jumper' && props.open ? '7 4' : undefined));
const named = computed(
  () => `Wire ${props.words}, ${props.link.from} to ${props.link.to}${props.live ? ', live' : ''}`,
);
</script>

<template>
  <g
    role="button"
    tabindex="0"
    :aria-label="named"
    :aria-pressed="picked"
    :data-wire="link.id"
    style="cursor: pointer"
    @click="$emit('pick')"
    @keydown.enter="$emit('pick')"
  >
    <path :d="path" fill="none" stroke="transparent" stroke-width="12" />
    <path
      v-if="picked"
      :d="path"
      fill="none"
      stroke="var(--amber)"
      :stroke-width="width + 6"
      stroke-linejoin="round"
    />
    <path
      :d="path"
      fill="none"
      stroke="var(--edge)"
      :stroke-width="width + 1.4"
      :stroke-dasharray="dash"
      stroke-linejoin="round"
    />
    <path
      :d="path"
      fill="none"
      :stroke="colour"
      :stroke-width="width"
      :stroke-dasharray="dash"
      stroke-linejoin="round"
    />
  </g>
</template>
