<script setup lang="ts">
import { computed } from 'vue';
import { seriesCsv, type PlantKind, type Sample, type Simulated } from '@brine/core/machines/simulation';
import { useDisplay } from '../display/displayStore.ts';
import { laneNames, lanesOf, type LaneName } from './lanes.ts';
import { eventsNear, readingAt } from './stripReading.ts';
import type { StripCurve, StripLane, StripLimit } from './onStrip.ts';
import TimeStrip from './TimeStrip.vue';

/** A day of a box, simulated or measured (what a logger has not is not drawn). Others may lie under it. */
const props = defineProps<{
  run: Simulated;
  /** Others to compare with: their air as dashed lines, the lanes of the first under the bars. */
  others: readonly { readonly id: string; readonly name: string; readonly result: Simulated }[];
  hours: number;
  limits: readonly StripLimit[];
  /** A tank has water in the place of air and product, and none of a box's lanes. */
  machine?: PlantKind;
}>();
const display = useDisplay();
const otherLooks = [
  { stroke: 'var(--color-soft)', dash: '4 3' },
  { stroke: 'var(--color-amber)', dash: '8 3' },
  { stroke: 'var(--color-brine)', dash: '1 3' },
] as const;
const points = (series: readonly Sample[], of: 'air' | 'coil' | 'product') =>
  series.map((s) => [s.t, s[of]] as const);
const curves = computed<readonly StripCurve[]>(() => {
  const { series } = props.run;
  const plain = { name: null, dash: '' };
  return [
    ...props.others.map(({ id, name, result }, i) => ({
      id: `other:${id}`,
      name,
      points: points(result.series, 'air'),
      ...otherLooks[i % otherLooks.length]!,
      wide: 1.4,
    })),
    { ...plain, id: 'coil', points: points(series, 'coil'), stroke: 'var(--color-cold)', wide: 1 },
    ...(props.machine === 'tank' ? [] : [product(series, plain)]),
    { ...plain, id: 'air', points: points(series, 'air'), stroke: 'var(--color-ink)', wide: 1.8 },
  ];
});
const product = (series: readonly Sample[], plain: { readonly name: null }): StripCurve => ({
  ...plain,
  id: 'product',
  points: points(series, 'product'),
  stroke: 'var(--color-good)',
  dash: '2 2',
  wide: 1.6,
});
/** The lanes that this machine has; a second stage where it ever works. */
const shown = computed(() => {
  const second = props.run.series.some((s) => s.stage2);
  return (Object.keys(laneNames) as LaneName[]).filter(
    (name) =>
      (props.machine !== 'tank' || name === 'compressor' || name === 'alarm' || name === 'stage2') &&
      (name !== 'stage2' || second),
  );
});
const fills: Readonly<Record<LaneName, string>> = {
  compressor: 'var(--color-cold)',
  stage2: 'var(--color-amber)',
  fan: 'var(--color-drip)',
  defrost: 'var(--color-amber)',
  alarm: 'var(--color-alarm)',
  door: 'var(--color-soft)',
};
const lanes = computed<readonly StripLane[]>(() => {
  const end = props.hours * 3600;
  const own = lanesOf(props.run.series, end);
  const first = props.others[0];
  const under = first ? lanesOf(first.result.series, end) : null;
  return shown.value.map((name) => ({
    name: props.machine === 'engine' && name === 'compressor' ? 'Engine' : laneNames[name],
    fill: fills[name],
    own: own.get(name)!,
    under: under?.get(name) ?? [],
  }));
});
</script>

<template>
  <TimeStrip
    data-test="day-strip"
    label="Cursor on the day strip"
    :hours="hours"
    :curves="curves"
    :limits="limits"
    :share="null"
    :lanes="lanes"
    :read="(seconds) => readingAt(run.series, seconds, display.unit)"
    :near="(seconds) => eventsNear(run.events, seconds)"
    :csv="() => seriesCsv(run.series)"
  />
</template>
