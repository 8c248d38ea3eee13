<script setup lang="ts">
import { line, scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import { quantity, unitSymbol, valueIn } from '@brine/core/foundation/quantities';
import type { Sample, Simulated } from '@brine/core/machines/simulation';
import { useDisplay } from '../display/displayStore.ts';
import { laneNames, lanesOf, type LaneName } from './lanes.ts';
import { eventsNear, hourMark, readingAt } from './stripReading.ts';
import StripTools from './StripTools.vue';
import { useStripZoom } from './useStripZoom.ts';

/**
 * A day, simulated or measured (what a logger has not is not drawn): hours across, temperatures on top, a lane for each output below. Others may lie under it. Wheel, pinch and the buttons zoom;
 * the cursor, by pointer or arrow keys, reads every lane.
 */
const props = defineProps<{
  run: Simulated;
  /** Others to compare with: their air as dashed lines, the lanes of the first under the bars. */
  others: readonly { readonly id: string; readonly name: string; readonly result: Simulated }[];
  hours: number;
  /** Limits drawn across: name and °C. */
  limits: readonly { readonly name: string; readonly celsius: number }[];
}>();
const display = useDisplay();
const frame = ref<HTMLElement | null>(null);
const svg = ref<SVGSVGElement | null>(null);
const { width, transform, zoomBy } = useStripZoom(frame, svg);
const at = ref<number | null>(null);
const LEFT = 92;
const RIGHT = 24;
const TOP = 10;
const HEIGHT = 190;
const LANE = 20;
const end = computed(() => props.hours * 3600);

const full = computed(() =>
  scaleLinear()
    .domain([0, end.value])
    .range([LEFT, width.value - RIGHT]),
);
const x = computed(() => transform.value.rescaleX(full.value));
const shown = (celsius: number) => valueIn(quantity(celsius, 'degC'), display.unit);
const y = computed(() => {
  const values = [
    ...props.run.series.flatMap((s) => [s.air, s.coil]),
    ...props.others.flatMap((other) => other.result.series.map((s) => s.air)),
    ...props.limits.map((l) => l.celsius),
  ]
    .filter(Number.isFinite)
    .map(shown);
  const [low, high] = values.length > 0 ? [Math.min(...values), Math.max(...values)] : [0, 10];
  return scaleLinear()
    .domain([low, high])
    .nice(10)
    .range([TOP + HEIGHT, TOP]);
});
const curve = (series: readonly Sample[], of: (s: Sample) => number) =>
  line<Sample>()
    .defined((s) => Number.isFinite(of(s)))
    .x((s) => x.value(s.t))
    .y((s) => y.value(shown(of(s))))(series as Sample[]) ?? '';
/** Told apart by their dash, not by colour alone. */
const otherLooks = [
  { stroke: 'var(--color-soft)', dash: '4 3' },
  { stroke: 'var(--color-amber)', dash: '8 3' },
  { stroke: 'var(--color-brine)', dash: '1 3' },
] as const;
/** Curves from back to front: the others, coil, product, air. */
const curves = computed(() => {
  const { run, others } = props;
  const drawn = (id: string, d: string, stroke: string, dash: string, wide: number) => ({
    id,
    d,
    stroke,
    dash,
    wide,
  });
  return [
    ...others.map((other, i) =>
      drawn(
        `other:${other.id}`,
        curve(other.result.series, (s) => s.air),
        otherLooks[i % otherLooks.length]!.stroke,
        otherLooks[i % otherLooks.length]!.dash,
        1.4,
      ),
    ),
    drawn(
      'coil',
      curve(run.series, (s) => s.coil),
      'var(--color-cold)',
      '',
      1,
    ),
    drawn(
      'product',
      curve(run.series, (s) => s.product),
      'var(--color-good)',
      '2 2',
      1.6,
    ),
    drawn(
      'air',
      curve(run.series, (s) => s.air),
      'var(--color-ink)',
      '',
      1.8,
    ),
  ];
});
const lanes = computed(() => {
  const own = lanesOf(props.run.series, end.value);
  const first = props.others[0];
  const under = first ? lanesOf(first.result.series, end.value) : null;
  return (Object.keys(laneNames) as LaneName[]).map((name, i) => ({
    name,
    words: laneNames[name],
    top: TOP + HEIGHT + 12 + i * LANE,
    own: own.get(name)!,
    under: under?.get(name) ?? [],
  }));
});
const fills: Readonly<Record<LaneName, string>> = {
  compressor: 'var(--color-cold)',
  fan: 'var(--color-drip)',
  defrost: 'var(--color-amber)',
  alarm: 'var(--color-alarm)',
  door: 'var(--color-soft)',
};
const bottom = computed(() => TOP + HEIGHT + 12 + lanes.value.length * LANE);
const hourTicks = computed(() => {
  const [from, to] = x.value.domain() as [number, number];
  const span = (to - from) / 3600;
  const step = [0.25, 0.5, 1, 2, 3, 6, 12, 24].find((s) => span / s <= width.value / 70) ?? 24;
  const first = Math.ceil(from / 3600 / step) * step;
  return Array.from({ length: Math.floor(to / 3600 / step - first / step) + 1 }, (_, i) => first + i * step);
});
const reading = computed(() =>
  at.value === null
    ? 'Point at the strip, or use the arrow keys, to read it.'
    : readingAt(props.run.series, at.value, display.unit),
);
const near = computed(() => (at.value === null ? [] : eventsNear(props.run.events, at.value)));

const inDay = (seconds: number) => Math.min(end.value, Math.max(0, seconds));
function point(event: PointerEvent) {
  const box = svg.value!.getBoundingClientRect();
  at.value = inDay(x.value.invert(event.clientX - box.left));
}
function key(event: KeyboardEvent) {
  const step = event.shiftKey ? 3600 : 300;
  const by = event.key === 'ArrowRight' ? step : event.key === 'ArrowLeft' ? -step : 0;
  if (by === 0) return;
  event.preventDefault();
  event.stopPropagation();
  at.value = inDay((at.value ?? end.value / 2) + by);
}
</script>

<template>
  <figure ref="frame" data-test="day-strip">
    <svg
      ref="svg"
      class="w-full touch-pan-y select-none"
      :height="bottom + 24"
      role="slider"
      aria-valuemin="0"
      :aria-valuemax="end"
      :aria-valuenow="Math.round(at ?? 0)"
      :aria-valuetext="reading"
      tabindex="0"
      aria-label="Cursor on the day strip"
      @pointermove="point"
      @pointerdown="point"
      @keydown="key"
    >
      <defs>
        <clipPath id="strip-clip">
          <rect :x="LEFT" y="0" :width="Math.max(0, width - LEFT - RIGHT)" :height="bottom + 2" />
        </clipPath>
      </defs>
      <g v-for="(tick, i) in y.ticks(7)" :key="`y${tick}`">
        <line :x1="LEFT" :x2="width - RIGHT" :y1="y(tick)" :y2="y(tick)" stroke="var(--color-hairline)" />
        <text :x="LEFT - 8" :y="y(tick) + 4" text-anchor="end" class="fill-soft font-mono text-[12px]">
          {{ tick }}{{ i === y.ticks(7).length - 1 ? ` ${unitSymbol(display.unit)}` : '' }}
        </text>
      </g>
      <g v-for="limit in limits" :key="limit.name">
        <line
          :x1="LEFT"
          :x2="width - RIGHT"
          :y1="y(shown(limit.celsius))"
          :y2="y(shown(limit.celsius))"
          stroke="var(--color-alarm)"
          stroke-dasharray="6 4"
        />
      </g>
      <g v-for="lane in lanes" :key="lane.name">
        <text :x="LEFT - 8" :y="lane.top + 13" text-anchor="end" class="fill-ink text-[12.5px]">
          {{ lane.words }}
        </text>
        <line
          :x1="LEFT"
          :x2="width - RIGHT"
          :y1="lane.top + 16"
          :y2="lane.top + 16"
          stroke="var(--color-hairline)"
        />
      </g>
      <g clip-path="url(#strip-clip)">
        <path
          v-for="c in curves"
          :key="c.id"
          :d="c.d"
          fill="none"
          :stroke="c.stroke"
          :stroke-width="c.wide"
          :stroke-dasharray="c.dash"
        />
        <g v-for="lane in lanes" :key="lane.name">
          <rect
            v-for="(s, i) in lane.own"
            :key="i"
            :x="x(s.from)"
            :width="Math.max(1, x(s.to) - x(s.from))"
            :y="lane.top + 2"
            height="9"
            :fill="fills[lane.name]"
          />
          <rect
            v-for="(s, i) in lane.under"
            :key="`u${i}`"
            :x="x(s.from)"
            :width="Math.max(1, x(s.to) - x(s.from))"
            :y="lane.top + 12"
            height="4"
            fill="var(--color-soft)"
          />
        </g>
        <line v-if="at !== null" :x1="x(at)" :x2="x(at)" :y1="TOP" :y2="bottom" stroke="var(--color-ink)" />
      </g>
      <!-- Over the curves, or they hide the name. -->
      <g v-for="limit in limits" :key="`name ${limit.name}`">
        <text
          :x="width - RIGHT - 4"
          :y="y(shown(limit.celsius)) - 4"
          text-anchor="end"
          class="limit-name fill-alarm text-[12px]"
        >
          {{ limit.name }}
        </text>
      </g>
      <g v-for="hour in hourTicks" :key="hour">
        <line
          :x1="x(hour * 3600)"
          :x2="x(hour * 3600)"
          :y1="bottom"
          :y2="bottom + 5"
          stroke="var(--color-ink)"
        />
        <text
          :x="x(hour * 3600)"
          :y="bottom + 19"
          text-anchor="middle"
          class="fill-soft font-mono text-[12px]"
        >
          {{ hourMark(hour, hours) }}
        </text>
      </g>
    </svg>
    <p v-if="others.length > 1" class="flex flex-wrap gap-x-5 text-[13.5px]" data-test="strip-key">
      <span v-for="(other, i) in others" :key="other.id" class="flex items-center gap-1.5">
        <svg width="34" height="8" aria-hidden="true">
          <line
            x1="0"
            x2="34"
            y1="4"
            y2="4"
            stroke-width="2"
            :stroke="otherLooks[i % otherLooks.length]!.stroke"
            :stroke-dasharray="otherLooks[i % otherLooks.length]!.dash"
          /></svg
        >{{ other.name }}</span
      >
    </p>
    <figcaption class="flex flex-wrap items-start gap-x-4 gap-y-1 text-[14px]">
      <span class="flex-1 basis-72" aria-live="polite" data-test="strip-reading"
        >{{ reading
        }}<span v-for="words in near" :key="words" class="block text-soft">{{ words }}</span></span
      >
      <StripTools :run="run" :drawing="svg" @zoom="zoomBy" />
    </figcaption>
  </figure>
</template>

<style scoped>
.limit-name {
  paint-order: stroke;
  stroke: var(--color-paper);
  stroke-width: 4px;
}
</style>
