<script setup lang="ts">
import { scaleLinear } from 'd3';
import { computed, onMounted, onScopeDispose, ref } from 'vue';
import { joinSentences } from '@brine/core/foundation/sentences';
import { remedyWords } from '@brine/core/judgement/checks';
import { useDisplay } from '../../shared/display/displayStore.ts';
import type { TuningRow } from '@brine/core/judgement/tuning';

/** Every variant by what it gains and what it costs: sound ones filled, the others hollow, the advised one and what is set named. */
const display = useDisplay();
const props = defineProps<{
  rows: readonly TuningRow[];
  advised: TuningRow | null;
  scoreLabel: string;
  priceLabel: string;
}>();
const LEFT = 56;
const RIGHT = 18;
const TOP = 30;
const HEIGHT = 230;
/** An axis spans at least this share of its numbers to each side, and this much where they are 0. */
const LEAST_SPAN = 0.02;
const frame = ref<HTMLElement | null>(null);
const width = ref(640);
const pointed = ref<TuningRow | null>(null);
let observer: ResizeObserver | null = null;
onMounted(() => {
  if (!frame.value || typeof ResizeObserver === 'undefined') return;
  observer = new ResizeObserver(([entry]) => (width.value = Math.max(280, entry!.contentRect.width)));
  observer.observe(frame.value);
});
onScopeDispose(() => observer?.disconnect());

const drawn = computed(() => props.rows.filter((row) => Number.isFinite(row.score)));
const scale = (of: (row: TuningRow) => number, range: [number, number]) => {
  const values = drawn.value.map(of);
  const [low, high] = values.length > 0 ? [Math.min(...values), Math.max(...values)] : [0, 1];
  // Variants that come to the same thing get an axis that can be read, not one of the last digits.
  const room = Math.max(
    (high - low) * 0.06,
    Math.max(Math.abs(low), Math.abs(high)) * LEAST_SPAN,
    LEAST_SPAN,
  );
  return scaleLinear()
    .domain([low >= 0 ? Math.max(0, low - room) : low - room, high + room])
    .nice(6)
    .range(range);
};
const x = computed(() => scale((row) => row.score, [LEFT, width.value - RIGHT]));
const y = computed(() => scale((row) => row.price, [TOP + HEIGHT, TOP]));
const words = (row: TuningRow) =>
  `${row.present ? 'In the unit' : display.words(remedyWords(row.change))}: ${row.score.toPrecision(3)} ${props.scoreLabel}, ${row.price.toPrecision(3)} ${props.priceLabel}; ${row.against.length === 0 ? 'nothing against it' : display.words(joinSentences(row.against, '; '))}`;
const present = computed(() => drawn.value.find((row) => row.present) ?? null);
/** Where none is sound, the one with least against it is marked and called no more than that. */
const nameOf = ({ present: set, against }: TuningRow) =>
  against.length > 0 ? (set ? 'in the unit' : 'least against it') : set ? 'in the unit: best' : 'advised';
/** Names above a mark, on the side where there is room. */
const names = computed(() =>
  [
    ...(props.advised ? [{ row: props.advised, text: nameOf(props.advised) }] : []),
    ...(present.value && !props.advised?.present ? [{ row: present.value, text: 'in the unit' }] : []),
  ].map(({ row, text }, i) => {
    // The advised one is named to the left of its mark and what is set to the right, above the row of dots that most of them lie in.
    const left = i === 0 ? x.value(row.score) > 120 : x.value(row.score) > width.value - 120;
    return {
      text,
      x: x.value(row.score) + (left ? -6 : 6),
      y: y.value(row.price) - 13,
      anchor: left ? 'end' : 'start',
    };
  }),
);
function nearest(event: PointerEvent) {
  const box = (event.currentTarget as SVGSVGElement).getBoundingClientRect();
  const [px, py] = [event.clientX - box.left, event.clientY - box.top];
  const far = (row: TuningRow) => Math.hypot(x.value(row.score) - px, y.value(row.price) - py);
  pointed.value = drawn.value.reduce<TuningRow | null>(
    (one, row) => (one === null || far(row) < far(one) ? row : one),
    null,
  );
}
</script>

<template>
  <figure ref="frame" data-test="trade-off">
    <svg
      class="w-full"
      :height="TOP + HEIGHT + 44"
      role="img"
      :aria-label="`${rows.length} variants: ${scoreLabel} across, ${priceLabel} up`"
      @pointermove="nearest"
    >
      <text x="0" y="10" class="fill-soft text-[12px]">{{ priceLabel }}</text>
      <g v-for="tick in y.ticks(5)" :key="`y${tick}`">
        <line :x1="LEFT" :x2="width - RIGHT" :y1="y(tick)" :y2="y(tick)" stroke="var(--color-hairline)" />
        <text :x="LEFT - 8" :y="y(tick) + 4" text-anchor="end" class="fill-soft font-mono text-[12px]">
          {{ tick }}
        </text>
      </g>
      <g v-for="tick in x.ticks(Math.max(3, Math.floor(width / 110)))" :key="`x${tick}`">
        <line
          :x1="x(tick)"
          :x2="x(tick)"
          :y1="TOP + HEIGHT"
          :y2="TOP + HEIGHT + 5"
          stroke="var(--color-ink)"
        />
        <text
          :x="x(tick)"
          :y="TOP + HEIGHT + 19"
          text-anchor="middle"
          class="fill-soft font-mono text-[12px]"
        >
          {{ tick }}
        </text>
      </g>
      <text :x="width - RIGHT" :y="TOP + HEIGHT + 38" text-anchor="end" class="fill-soft text-[12px]">
        {{ scoreLabel }}
      </text>
      <circle
        v-for="row in drawn"
        :key="row.index"
        :cx="x(row.score)"
        :cy="y(row.price)"
        r="4.5"
        :fill="row.against.length === 0 ? 'var(--color-brine)' : 'none'"
        :stroke="row.against.length === 0 ? 'var(--color-brine)' : 'var(--color-soft)'"
        stroke-width="1.4"
      />
      <circle
        v-if="pointed"
        :cx="x(pointed.score)"
        :cy="y(pointed.price)"
        r="8"
        fill="none"
        stroke="var(--color-ink)"
      />
      <rect
        v-if="advised && Number.isFinite(advised.score)"
        :x="x(advised.score) - 8"
        :y="y(advised.price) - 8"
        width="16"
        height="16"
        fill="none"
        stroke="var(--color-good)"
        stroke-width="2.5"
      />
      <text
        v-for="name in names"
        :key="name.text"
        :x="name.x"
        :y="name.y"
        :text-anchor="name.anchor"
        class="name fill-ink text-[13px] font-semibold"
      >
        {{ name.text }}
      </text>
    </svg>
    <figcaption class="text-[14px]">
      <span class="text-soft">● nothing against it, ○ something against it.</span>
      <span v-if="pointed" class="block" data-test="pointed">{{ words(pointed) }}</span>
    </figcaption>
  </figure>
</template>

<style scoped>
.name {
  paint-order: stroke;
  stroke: var(--color-paper);
  stroke-width: 4px;
}
</style>
