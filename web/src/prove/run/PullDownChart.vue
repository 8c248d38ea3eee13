<script setup lang="ts">
import { area, line, scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import type { Predicted, PullDownPoint, PullDownReading } from '@brine/core/judgement/commissioning';
import { quantity, unitSymbol, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useWidth } from '../../shared/ui/useWidth.ts';

const props = defineProps<{
  predicted: Predicted;
  readings: readonly PullDownReading[];
  cutOut: number | null;
}>();
const display = useDisplay();
const frame = ref<HTMLElement | null>(null);
const width = useWidth(frame);
const HEIGHT = 260;
const [LEFT, RIGHT, TOP, BOTTOM] = [52, 14, 10, 26];
const shown = (celsius: number) => valueIn(quantity(celsius, 'degC'), display.unit);
/** A little beyond the slowest box, or all of it where that is not reached. */
const end = computed(() => {
  const { curve, minutesToCutOut } = props.predicted;
  const all = curve.at(-1)?.minutes ?? 60;
  const last = Math.max(0, ...props.readings.map((r) => r.minutes));
  const slow = minutesToCutOut.slow ?? (minutesToCutOut.likely === null ? all : minutesToCutOut.likely * 1.6);
  return Math.min(all, Math.max(slow * 1.15, last * 1.2, 20));
});
const points = computed(() => props.predicted.curve.filter((p) => p.minutes <= end.value));
const x = computed(() =>
  scaleLinear()
    .domain([0, end.value])
    .range([LEFT, Math.max(LEFT + 40, width.value - RIGHT)]),
);
const y = computed(() => {
  const all = [
    ...points.value.flatMap((p) => [p.slow, p.quick]),
    ...props.readings.map((r) => r.celsius),
    ...(props.cutOut === null ? [] : [props.cutOut]),
  ].map(shown);
  return scaleLinear()
    .domain([Math.min(...all), Math.max(...all)])
    .nice(6)
    .range([HEIGHT - BOTTOM, TOP]);
});
const band = computed(
  () =>
    area<PullDownPoint>()
      .x((p) => x.value(p.minutes))
      .y0((p) => y.value(shown(Math.min(p.quick, p.slow, p.likely))))
      .y1((p) => y.value(shown(Math.max(p.quick, p.slow, p.likely))))(points.value) ?? '',
);
const likely = computed(
  () =>
    line<PullDownPoint>()
      .x((p) => x.value(p.minutes))
      .y((p) => y.value(shown(p.likely)))(points.value) ?? '',
);
const read = computed(
  () =>
    line<PullDownReading>()
      .x((r) => x.value(r.minutes))
      .y((r) => y.value(shown(r.celsius)))(props.readings as PullDownReading[]) ?? '',
);
/** Whole hours where the curve is long, else minutes. */
const inHours = computed(() => end.value > 240);
const ticks = computed(() => {
  const most = Math.max(3, width.value / 80);
  const step = [5, 10, 15, 20, 30, 60, 120, 240, 480].find((m) => end.value / m <= most) ?? 480;
  return Array.from({ length: Math.floor(end.value / step) + 1 }, (_, i) => i * step);
});
const tickWords = (m: number, last: boolean) =>
  inHours.value ? `${m / 60}${last ? ' h' : ''}` : `${m}${last ? ' min' : ''}`;
const label = computed(
  () => `Predicted pull-down over ${Math.round(end.value)} minutes with ${props.readings.length} readings`,
);
</script>

<template>
  <div ref="frame">
    <svg class="w-full" :height="HEIGHT" role="img" :aria-label="label">
      <g v-for="(t, i) in y.ticks(5)" :key="`y${t}`">
        <line :x1="LEFT" :x2="width - RIGHT" :y1="y(t)" :y2="y(t)" stroke="var(--color-hairline)" />
        <text :x="LEFT - 6" :y="y(t) + 4" text-anchor="end" class="fill-soft font-mono text-[12px]">
          {{ t }}{{ i === y.ticks(5).length - 1 ? ` ${unitSymbol(display.unit)}` : '' }}
        </text>
      </g>
      <g v-for="(t, i) in ticks" :key="`x${t}`">
        <text :x="x(t)" :y="HEIGHT - 6" text-anchor="middle" class="fill-soft font-mono text-[12px]">
          {{ tickWords(t, i === ticks.length - 1) }}
        </text>
      </g>
      <path :d="band" fill="var(--color-soft)" fill-opacity="0.22" />
      <path :d="likely" fill="none" stroke="var(--color-soft)" stroke-width="1.5" stroke-dasharray="5 3" />
      <g v-if="cutOut !== null">
        <line
          :x1="LEFT"
          :x2="width - RIGHT"
          :y1="y(shown(cutOut))"
          :y2="y(shown(cutOut))"
          stroke="var(--color-cold)"
          stroke-width="1.5"
        />
        <text :x="LEFT + 4" :y="y(shown(cutOut)) - 5" class="fill-cold text-[12.5px]">cut-out</text>
      </g>
      <path :d="read" fill="none" stroke="var(--color-ink)" stroke-width="2" />
      <circle
        v-for="r in readings"
        :key="r.minutes"
        :cx="x(r.minutes)"
        :cy="y(shown(r.celsius))"
        r="4.5"
        fill="var(--color-ink)"
      />
    </svg>
  </div>
</template>
