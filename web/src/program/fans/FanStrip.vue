<script setup lang="ts">
import { line, scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import type { CondenserSample } from '@brine/core/machines/condenser';
import { printFor, quantity, unitSymbol, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useWidth } from '../../shared/ui/useWidth.ts';

/** A condenser's day: outdoor air, condensing, liquid and set point on top; fan percent, each fan, compressors and alarm below. */
const props = defineProps<{ series: readonly CondenserSample[]; switched: boolean }>();
const display = useDisplay();
const frame = ref<HTMLElement | null>(null);
const width = useWidth(frame);
const at = ref<number | null>(null);
const LEFT = 92;
const RIGHT = 20;
const TOP = 10;
const HEIGHT = 180;
const PERCENT = 44;
const LANE = 20;
const DAY = 86400;
const x = computed(() =>
  scaleLinear()
    .domain([0, DAY])
    .range([LEFT, Math.max(LEFT + 50, width.value - RIGHT)]),
);
const shown = (celsius: number) => valueIn(quantity(celsius, 'degC'), display.unit);
const y = computed(() => {
  const all = props.series.flatMap((s) => [s.outdoor, s.liquid, s.setpoint].map(shown));
  return scaleLinear()
    .domain([Math.min(...all), Math.max(...all)])
    .nice(8)
    .range([TOP + HEIGHT, TOP]);
});
const curve = (of: (s: CondenserSample) => number) =>
  line<CondenserSample>()
    .x((s) => x.value(s.t))
    .y((s) => y.value(shown(of(s))))(props.series as CondenserSample[]) ?? '';
const percentTop = TOP + HEIGHT + 12;
const percentPath = computed(
  () =>
    line<CondenserSample>()
      .x((s) => x.value(s.t))
      .y((s) => percentTop + PERCENT * (1 - s.output))(props.series as CondenserSample[]) ?? '',
);
interface Lane {
  readonly name: string;
  readonly fill: string;
  readonly on: (s: CondenserSample) => boolean;
}
const lanes = computed<readonly Lane[]>(() => [
  ...(props.switched
    ? (props.series[0]?.fans ?? []).map((_, i) => ({
        name: `Fan ${i + 1}`,
        fill: 'var(--color-drip)',
        on: (s: CondenserSample) => s.fans[i] === true,
      }))
    : []),
  { name: 'Compressor', fill: 'var(--color-cold)', on: (s) => s.compressors > 0 },
  { name: 'Quiet', fill: 'var(--color-soft)', on: (s) => s.quiet },
  { name: 'Alarm', fill: 'var(--color-alarm)', on: (s) => s.alarm },
]);
function bars(on: Lane['on']) {
  const list: { from: number; to: number }[] = [];
  for (const s of props.series) {
    const last = list.at(-1);
    if (!on(s)) continue;
    if (last && last.to >= s.t - 31) last.to = s.t + 30;
    else list.push({ from: s.t, to: s.t + 30 });
  }
  return list;
}
const drawn = computed(() =>
  lanes.value.map((lane, i) => ({ ...lane, top: percentTop + PERCENT + 8 + i * LANE, bars: bars(lane.on) })),
);
const bottom = computed(() => percentTop + PERCENT + 8 + lanes.value.length * LANE);
const hours = computed(() => (width.value < 560 ? [0, 6, 12, 18, 24] : [0, 3, 6, 9, 12, 15, 18, 21, 24]));
const show = (celsius: number) => printFor(quantity(Math.round(celsius * 10) / 10, 'degC'), display.unit);
const reading = computed(() => {
  const s = at.value === null ? undefined : props.series[Math.round(at.value / 30)];
  if (!s) return 'Point at the strip, or use the arrow keys, to read it.';
  const clock = new Date(s.t * 1000).toISOString().slice(11, 16);
  return `${clock}: outdoors ${show(s.outdoor)}, condensing ${show(s.condensing)}, liquid ${show(s.liquid)}, set point ${show(s.setpoint)}, fans ${Math.round(s.output * 100)} %`;
});
const inDay = (t: number) => Math.min(DAY - 30, Math.max(0, t));
function point(event: PointerEvent) {
  const box = (event.currentTarget as Element).getBoundingClientRect();
  at.value = inDay(x.value.invert(event.clientX - box.left));
}
function key(event: KeyboardEvent) {
  const by = event.key === 'ArrowRight' ? 300 : event.key === 'ArrowLeft' ? -300 : 0;
  if (by === 0) return;
  event.preventDefault();
  event.stopPropagation();
  at.value = inDay((at.value ?? DAY / 2) + by);
}
</script>

<template>
  <figure ref="frame" data-test="fan-strip">
    <svg
      class="w-full touch-pan-y select-none"
      :height="bottom + 22"
      role="slider"
      aria-valuemin="0"
      :aria-valuemax="DAY"
      :aria-valuenow="Math.round(at ?? 0)"
      :aria-valuetext="reading"
      tabindex="0"
      aria-label="Cursor on the condenser’s day"
      @pointermove="point"
      @pointerdown="point"
      @keydown="key"
    >
      <g v-for="(tick, i) in y.ticks(6)" :key="`y${tick}`">
        <line :x1="LEFT" :x2="width - RIGHT" :y1="y(tick)" :y2="y(tick)" stroke="var(--color-hairline)" />
        <text :x="LEFT - 8" :y="y(tick) + 4" text-anchor="end" class="fill-soft font-mono text-[12px]">
          {{ tick }}{{ i === y.ticks(6).length - 1 ? ` ${unitSymbol(display.unit)}` : '' }}
        </text>
      </g>
      <path :d="curve((s) => s.liquid)" fill="none" stroke="var(--color-ink)" stroke-width="1.4" />
      <path
        :d="curve((s) => s.setpoint)"
        fill="none"
        stroke="var(--color-brine)"
        stroke-width="1.8"
        stroke-dasharray="7 4"
      />
      <path
        :d="curve((s) => s.outdoor)"
        fill="none"
        stroke="var(--color-cold)"
        stroke-width="1.8"
        stroke-dasharray="2 3"
      />
      <text :x="LEFT - 8" :y="percentTop + 10" text-anchor="end" class="fill-ink text-[12.5px]">
        Fans, 100 %
      </text>
      <text :x="LEFT - 8" :y="percentTop + PERCENT" text-anchor="end" class="fill-soft text-[12px]">0</text>
      <line :x1="LEFT" :x2="width - RIGHT" :y1="percentTop" :y2="percentTop" stroke="var(--color-hairline)" />
      <line
        :x1="LEFT"
        :x2="width - RIGHT"
        :y1="percentTop + PERCENT"
        :y2="percentTop + PERCENT"
        stroke="var(--color-hairline)"
      />
      <path :d="percentPath" fill="none" stroke="var(--color-drip)" stroke-width="1.4" />
      <g v-for="lane in drawn" :key="lane.name">
        <text :x="LEFT - 8" :y="lane.top + 13" text-anchor="end" class="fill-ink text-[12.5px]">
          {{ lane.name }}
        </text>
        <line
          :x1="LEFT"
          :x2="width - RIGHT"
          :y1="lane.top + 16"
          :y2="lane.top + 16"
          stroke="var(--color-hairline)"
        />
        <rect
          v-for="(b, i) in lane.bars"
          :key="i"
          :x="x(b.from)"
          :width="Math.max(1, x(b.to) - x(b.from))"
          :y="lane.top + 3"
          height="10"
          :fill="lane.fill"
        />
      </g>
      <line v-if="at !== null" :x1="x(at)" :x2="x(at)" :y1="TOP" :y2="bottom" stroke="var(--color-ink)" />
      <g v-for="hour in hours" :key="hour">
        <line
          :x1="x(hour * 3600)"
          :x2="x(hour * 3600)"
          :y1="bottom"
          :y2="bottom + 5"
          stroke="var(--color-ink)"
        />
        <text
          :x="x(hour * 3600)"
          :y="bottom + 18"
          text-anchor="middle"
          class="fill-soft font-mono text-[12px]"
        >
          {{ String(hour).padStart(2, '0') }}
        </text>
      </g>
    </svg>
    <figcaption class="text-[14px]">
      <p class="flex flex-wrap gap-x-5">
        <span
          v-for="[name, stroke, dash] in [
            ['liquid', 'ink', ''],
            ['set point', 'brine', '7 4'],
            ['outdoors', 'cold', '2 3'],
          ]"
          :key="name"
          class="flex items-center gap-1.5"
          ><svg width="34" height="8" aria-hidden="true">
            <line
              x1="0"
              x2="34"
              y1="4"
              y2="4"
              stroke-width="2"
              :stroke="`var(--color-${stroke})`"
              :stroke-dasharray="dash"
            /></svg
          >{{ name }}</span
        >
      </p>
      <p aria-live="polite" data-test="fan-reading">{{ reading }}</p>
    </figcaption>
  </figure>
</template>
