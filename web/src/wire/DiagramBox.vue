<script setup lang="ts">
import { computed } from 'vue';
import type { Box } from './diagram.ts';
import { HEAD } from './diagram.ts';
import type { Point } from './layOut.ts';

const props = defineProps<{
  box: Box;
  x: number;
  y: number;
  on: boolean;
  portAt: (end: string) => Point;
  live: ReadonlySet<string>;
  pickedEnd: string | null;
}>();
defineEmits<{
  dragStart: [event: PointerEvent];
  dragOn: [event: PointerEvent];
  dragEnd: [];
  nudge: [x: number, y: number];
  pick: [end: string];
}>();
const ports = computed(() =>
  props.box.ports.map((port) => {
    const at = props.portAt(port.end);
    const west = port.side === 'west';
    return {
      ...port,
      ...at,
      text: { x: at.x + (west ? 9 : -9), anchor: west ? 'start' : 'end' },
      fill:
        port.end === props.pickedEnd
          ? 'var(--amber)'
          : props.live.has(port.end)
            ? 'var(--ink)'
            : 'var(--sheet)',
      named: `Terminal ${port.label} of ${props.box.title}`,
    };
  }),
);
/** A full dot before the name of what works in this state. */
const title = computed(() => `${props.on ? '● ' : ''}${props.box.title}`);
const named = computed(() =>
  [
    props.box.title,
    props.box.detail,
    props.on ? 'works in this state' : '',
    'drag, or move with the arrow keys',
  ]
    .filter(Boolean)
    .join(', '),
);
const stroke = computed(() => (props.box.kind === 'safety' ? 'var(--alarm)' : 'var(--ink)'));
const dash = computed(() => (props.box.kind === 'probe' ? '4 3' : undefined));
</script>

<template>
  <g :data-box="box.id">
    <rect
      :x="x"
      :y="y"
      :width="box.width"
      :height="box.height"
      rx="3"
      fill="var(--sheet)"
      :stroke="stroke"
      :stroke-width="on || box.kind === 'control' ? 2 : 1.3"
      :stroke-dasharray="dash"
      tabindex="0"
      role="button"
      :aria-label="named"
      style="cursor: move; touch-action: none"
      @pointerdown="$emit('dragStart', $event)"
      @pointermove="$emit('dragOn', $event)"
      @pointerup="$emit('dragEnd')"
      @pointercancel="$emit('dragEnd')"
      @keydown.left.prevent="$emit('nudge', -1, 0)"
      @keydown.right.prevent="$emit('nudge', 1, 0)"
      @keydown.up.prevent="$emit('nudge', 0, -1)"
      @keydown.down.prevent="$emit('nudge', 0, 1)"
    />
    <g aria-hidden="true" style="pointer-events: none">
      <text
        :x="x + 10"
        :y="y + 19"
        font-size="14"
        font-weight="600"
        font-family="'Barlow Semi Condensed', Barlow, sans-serif"
        fill="var(--ink)"
      >
        {{ title }}
      </text>
      <text :x="x + 10" :y="y + HEAD - 11" font-size="11.5" fill="var(--soft)">{{ box.detail }}</text>
    </g>
    <g v-for="port in ports" :key="port.end">
      <text
        aria-hidden="true"
        :x="port.text.x"
        :y="port.y + 4"
        :text-anchor="port.text.anchor"
        font-size="12"
        font-family="'Spline Sans Mono', monospace"
        fill="var(--ink)"
      >
        {{ port.label }}
      </text>
      <circle
        :cx="port.x"
        :cy="port.y"
        r="4.6"
        :fill="port.fill"
        stroke="var(--ink)"
        stroke-width="1.5"
        role="button"
        tabindex="0"
        :aria-label="port.named"
        :data-end="port.end"
        style="cursor: pointer"
        @click="$emit('pick', port.end)"
        @keydown.enter="$emit('pick', port.end)"
      />
    </g>
  </g>
</template>
