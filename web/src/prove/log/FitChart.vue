<script setup lang="ts">
import { line, scaleLinear } from 'd3';
import { computed, ref } from 'vue';
import type { BesideLog } from '@brine/core/machines/identification';
import { clockWords, type Log } from '@brine/core/logs/reading';
import { printFor, quantity, unitSymbol, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useWidth } from '../../shared/ui/useWidth.ts';

/** A learned box over its log, a day at a time: the air as logged, the air as the box says it, and below what lies between. */
const props = defineProps<{
  beside: BesideLog;
  log: Log;
  /** When the part that was learned from begins, in the seconds of the log. */
  from: number;
}>();
const display = useDisplay();
const frame = ref<HTMLElement | null>(null);
const width = useWidth(frame);
const [LEFT, RIGHT, TOP, HIGH, GAP, LOW, BOTTOM] = [56, 14, 8, 190, 14, 60, 22] as const;
const HEIGHT = TOP + HIGH + GAP + LOW + BOTTOM;
const DAY = 86_400;
const days = computed(() => Math.max(1, Math.ceil(props.beside.time.at(-1)! / DAY)));
const day = ref(days.value > 1 ? 1 : 0);
const nameOf = (i: number) =>
  props.log.clock.kind === 'elapsed'
    ? `day ${i + 1}`
    : clockWords(props.log.clock, props.from + (i + 0.5) * DAY).replace(/,.*$/, '');
const rows = computed(() => {
  const { time, logged, model } = props.beside;
  const list: { readonly t: number; readonly logged: number; readonly model: number }[] = [];
  for (let i = 0; i < time.length; i += 1) {
    const t = time[i]! - day.value * DAY;
    if (t >= 0 && t <= DAY && logged[i] === logged[i]) list.push({ t, logged: logged[i]!, model: model[i]! });
  }
  return list;
});
type Row = (typeof rows.value)[number];
const shown = (celsius: number) => valueIn(quantity(celsius, 'degC'), display.unit);
const x = computed(() =>
  scaleLinear()
    .domain([0, DAY])
    .range([LEFT, Math.max(LEFT + 40, width.value - RIGHT)]),
);
const y = computed(() => {
  const all = rows.value.flatMap((r) => [r.logged, r.model]).map(shown);
  return scaleLinear()
    .domain(all.length > 0 ? [Math.min(...all), Math.max(...all)] : [0, 1])
    .nice(5)
    .range([TOP + HIGH, TOP]);
});
/** Half of what the lane below shows, K: a defrost may be off by degrees, and must not flatten the rest. */
const MOST = 3;
const off = computed(() =>
  scaleLinear()
    .domain([-MOST, MOST])
    .range([TOP + HIGH + GAP + LOW, TOP + HIGH + GAP])
    .clamp(true),
);
/** Lines of the lane below, K: what reads as a round number. */
const guides = computed(() => {
  const round = display.unit === 'degF' ? valueIn(quantity(4, 'deltaF'), 'K') : 2;
  return [
    { kelvin: round, words: display.unit === 'degF' ? '+4 dF' : '+2 K' },
    { kelvin: 0, words: '0' },
    { kelvin: -round, words: display.unit === 'degF' ? '−4' : '−2' },
  ];
});
const path = (of: (row: Row) => number) =>
  line<Row>()
    .x((r) => x.value(r.t))
    .y(of)(rows.value) ?? '';
const paths = computed(() => ({
  logged: path((r) => y.value(shown(r.logged))),
  model: path((r) => y.value(shown(r.model))),
  off: path((r) => off.value(r.model - r.logged)),
}));
const ticks = computed(() => (width.value < 480 ? [0, 6, 12, 18, 24] : [0, 3, 6, 9, 12, 15, 18, 21, 24]));
const clockOf = (hours: number) => {
  const start = props.log.clock.kind === 'elapsed' ? 0 : ((props.from % DAY) + DAY) % DAY;
  const at = Math.round(start / 60) + hours * 60;
  const two = (n: number) => String(n).padStart(2, '0');
  return `${two(Math.floor(at / 60) % 24)}:${two(at % 60)}`;
};
/** How far they lie apart in the mean of the day. */
const apart = computed(() => {
  const sum = rows.value.reduce((all, r) => all + (r.model - r.logged) ** 2, 0);
  return printFor(quantity(Math.sqrt(sum / Math.max(1, rows.value.length)), 'K'), display.unit);
});
const label = computed(
  () =>
    `The air of ${nameOf(day.value)} as logged and as the learned box says it; they lie ${apart.value} apart`,
);
</script>

<template>
  <div data-test="fit-chart">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1 text-[14px]">
      <label class="flex items-center gap-2"
        >Day
        <select v-model="day" class="!min-h-9 !py-1 pointer-coarse:!min-h-11">
          <option v-for="i in days" :key="i" :value="i - 1">{{ nameOf(i - 1) }}</option>
        </select>
      </label>
      <span class="text-soft"
        ><span class="font-semibold text-ink">━ air as logged</span>,
        <span class="text-cold">━ as its own box says it</span>, put back to the log at every start; below,
        what lies between: {{ apart }} in the mean of this day</span
      >
    </div>
    <div ref="frame" class="mt-1">
      <svg class="w-full" :height="HEIGHT" role="img" :aria-label="label">
        <g v-for="(t, i) in y.ticks(5)" :key="`y${t}`">
          <line :x1="LEFT" :x2="width - RIGHT" :y1="y(t)" :y2="y(t)" stroke="var(--color-hairline)" />
          <text :x="LEFT - 6" :y="y(t) + 4" text-anchor="end" class="fill-soft font-mono text-[12px]">
            {{ t }}{{ i === y.ticks(5).length - 1 ? ` ${unitSymbol(display.unit)}` : '' }}
          </text>
        </g>
        <path :d="paths.logged" fill="none" stroke="var(--color-ink)" stroke-width="1.6" />
        <path :d="paths.model" fill="none" stroke="var(--color-cold)" stroke-width="1.4" />
        <g v-for="guide in guides" :key="guide.words">
          <line
            :x1="LEFT"
            :x2="width - RIGHT"
            :y1="off(guide.kelvin)"
            :y2="off(guide.kelvin)"
            :stroke="guide.kelvin === 0 ? 'var(--color-soft)' : 'var(--color-hairline)'"
          />
          <text
            :x="LEFT - 6"
            :y="off(guide.kelvin) + 4"
            text-anchor="end"
            class="fill-soft font-mono text-[12px]"
          >
            {{ guide.words }}
          </text>
        </g>
        <path :d="paths.off" fill="none" stroke="var(--color-cold)" stroke-width="1.2" />
        <text
          v-for="h in ticks"
          :key="`x${h}`"
          :x="x(h * 3600)"
          :y="HEIGHT - 5"
          :text-anchor="h === 24 ? 'end' : h === 0 ? 'start' : 'middle'"
          class="fill-soft font-mono text-[12px]"
        >
          {{ clockOf(h) }}
        </text>
      </svg>
    </div>
  </div>
</template>
