<script setup lang="ts">
import { line, scaleLinear } from 'd3';
import { computed, ref, useId } from 'vue';
import { quantity, unitSymbol, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../display/displayStore.ts';
import { hourMark, markedHours } from './stripReading.ts';
import { type StripCurve, type StripLane, type StripLimit, type StripShare } from './onStrip.ts';
import StripTools from './StripTools.vue';
import { useStripCursor } from './useStripCursor.ts';
import { useStripZoom } from './useStripZoom.ts';

/**
 * A run over its hours: temperatures on top, a share of full and a lane for each output below. Wheel, pinch and the buttons zoom; the
 * cursor, by pointer or arrow keys, is read in words.
 */
const props = defineProps<{
  /** What the cursor is on, for those who hear the page. */
  label: string;
  hours: number;
  /** From back to front. */
  curves: readonly StripCurve[];
  limits: readonly StripLimit[];
  share: StripShare | null;
  lanes: readonly StripLane[];
  /** Everything the run holds at a second, in one sentence. */
  read: (seconds: number) => string;
  /** What happened near a second. */
  near: (seconds: number) => readonly string[];
  csv: () => string;
}>();
const display = useDisplay();
const frame = ref<HTMLElement | null>(null);
const svg = ref<SVGSVGElement | null>(null);
const clip = useId();
const { width, transform, zoomBy } = useStripZoom(frame, svg);
const LEFT = 92;
const RIGHT = 24;
const TOP = 10;
/** On a low screen the curves are lower, so that the reading and the tools below them stay in sight. */
const HEIGHT = innerHeight <= 860 ? 132 : 190;
const GAP = 12;
const SHARE = 44;
const LANE = 20;
const TICKS = 7;
const end = computed(() => props.hours * 3600);

const full = computed(() =>
  scaleLinear()
    .domain([0, end.value])
    .range([LEFT, Math.max(LEFT + 50, width.value - RIGHT)]),
);
const x = computed(() => transform.value.rescaleX(full.value));
const { at, point, key } = useStripCursor(svg, end, (pixels) => x.value.invert(pixels));
const shown = (celsius: number) => valueIn(quantity(celsius, 'degC'), display.unit);
const y = computed(() => {
  const values = [
    ...props.curves.flatMap((c) => c.points.map(([, t]) => t)),
    ...props.limits.map((l) => l.celsius),
  ]
    .filter(Number.isFinite)
    .map(shown);
  const [low, high] = values.reduce(
    ([least, most], t) => [Math.min(least, t), Math.max(most, t)],
    [Infinity, -Infinity],
  );
  return scaleLinear()
    .domain(values.length > 0 ? [low, high] : [0, 10])
    .nice(10)
    .range([TOP + HEIGHT, TOP]);
});
const path = (points: StripCurve['points'], height: (value: number) => number) =>
  line<readonly [number, number]>()
    .defined(([, value]) => Number.isFinite(value))
    .x(([t]) => x.value(t))
    .y(([, value]) => height(value))(points as [number, number][]) ?? '';
const drawn = computed(() =>
  props.curves.map((c) => ({ ...c, d: path(c.points, (t) => y.value(shown(t))) })),
);
const named = computed(() => props.curves.filter((c) => c.name !== null));
const shareTop = TOP + HEIGHT + GAP;
const shareLine = computed(() => props.share && path(props.share.points, (s) => shareTop + SHARE * (1 - s)));
const lanesTop = computed(() => shareTop + (props.share ? SHARE + 8 : 0));
const placed = computed(() => props.lanes.map((lane, i) => ({ ...lane, top: lanesTop.value + i * LANE })));
const bottom = computed(() => lanesTop.value + props.lanes.length * LANE);
const marks = computed(() => {
  const [from, to] = x.value.domain() as [number, number];
  return markedHours(from, to, width.value);
});
const reading = computed(() =>
  at.value === null ? 'Point at the strip, or use the arrow keys, to read it.' : props.read(at.value),
);
/** Lines across: at every tick of the temperatures, around the share and under each lane. */
const across = computed(() => [
  ...y.value.ticks(TICKS).map(y.value),
  ...(props.share ? [shareTop, shareTop + SHARE] : []),
  ...placed.value.map((lane) => lane.top + 16),
]);
</script>

<template>
  <figure ref="frame">
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
      :aria-label="label"
      @pointermove="point"
      @pointerdown="point"
      @keydown="key"
    >
      <defs>
        <clipPath :id="clip">
          <rect :x="LEFT" y="0" :width="Math.max(0, width - LEFT - RIGHT)" :height="bottom + 2" />
        </clipPath>
      </defs>
      <line
        v-for="level in across"
        :key="level"
        :x1="LEFT"
        :x2="width - RIGHT"
        :y1="level"
        :y2="level"
        stroke="var(--color-hairline)"
      />
      <g text-anchor="end" class="fill-soft font-mono text-[12px]">
        <text v-for="(tick, i) in y.ticks(TICKS)" :key="tick" :x="LEFT - 8" :y="y(tick) + 4">
          {{ tick }}{{ i === y.ticks(TICKS).length - 1 ? ` ${unitSymbol(display.unit)}` : '' }}
        </text>
      </g>
      <g text-anchor="end" class="fill-ink text-[12.5px]">
        <text v-if="share" :x="LEFT - 8" :y="shareTop + 10">{{ share.name }}, 100 %</text>
        <text v-if="share" :x="LEFT - 8" :y="shareTop + SHARE">0</text>
        <text v-for="lane in placed" :key="lane.name" :x="LEFT - 8" :y="lane.top + 13">{{ lane.name }}</text>
      </g>
      <line
        v-for="limit in limits"
        :key="limit.name"
        :x1="LEFT"
        :x2="width - RIGHT"
        :y1="y(shown(limit.celsius))"
        :y2="y(shown(limit.celsius))"
        stroke="var(--color-alarm)"
        stroke-dasharray="6 4"
      />
      <g :clip-path="`url(#${clip})`">
        <path
          v-for="c in drawn"
          :key="c.id"
          :d="c.d"
          fill="none"
          :stroke="c.stroke"
          :stroke-width="c.wide"
          :stroke-dasharray="c.dash"
        />
        <path v-if="share" :d="shareLine!" fill="none" :stroke="share.stroke" stroke-width="1.4" />
        <g v-for="lane in placed" :key="lane.name">
          <rect
            v-for="(s, i) in lane.own"
            :key="i"
            :x="x(s.from)"
            :width="Math.max(1, x(s.to) - x(s.from))"
            :y="lane.top + 2"
            height="9"
            :fill="lane.fill"
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
      <text
        v-for="limit in limits"
        :key="`name ${limit.name}`"
        :x="width - RIGHT - 4"
        :y="y(shown(limit.celsius)) - 4"
        text-anchor="end"
        class="limit-name fill-alarm text-[12px]"
      >
        {{ limit.name }}
      </text>
      <g v-for="hour in marks" :key="hour" :transform="`translate(${x(hour * 3600)} ${bottom})`">
        <line y2="5" stroke="var(--color-ink)" />
        <text y="19" text-anchor="middle" class="fill-soft font-mono text-[12px]">
          {{ hourMark(hour, hours) }}
        </text>
      </g>
    </svg>
    <p v-if="named.length > 1" class="flex flex-wrap gap-x-5 text-[13.5px]" data-test="strip-key">
      <span v-for="c in named" :key="c.id" class="flex items-center gap-1.5">
        <svg width="34" height="8" aria-hidden="true">
          <line
            x1="0"
            x2="34"
            y1="4"
            y2="4"
            stroke-width="2"
            :stroke="c.stroke"
            :stroke-dasharray="c.dash"
          /></svg
        >{{ c.name }}</span
      >
    </p>
    <figcaption class="flex flex-wrap items-start gap-x-4 gap-y-1 text-[14px]">
      <span class="flex-1 basis-72" aria-live="polite" data-test="strip-reading"
        >{{ reading
        }}<span v-for="words in at === null ? [] : near(at)" :key="words" class="block text-soft">{{
          words
        }}</span></span
      >
      <StripTools :csv="csv" :drawing="svg" @zoom="zoomBy" />
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
