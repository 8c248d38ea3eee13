<script setup lang="ts">
import { computed } from 'vue';
import { shownCelsius } from '@brine/core/judgement/tools';
import { writeCsv } from '@brine/core/foundation/files';
import type { CondenserSample } from '@brine/core/machines/condenser';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { stretches } from '../../shared/strip/lanes.ts';
import { clock, sampleAt } from '../../shared/strip/stripReading.ts';
import type { StripCurve, StripLane } from '../../shared/strip/onStrip.ts';
import TimeStrip from '../../shared/strip/TimeStrip.vue';

/** A condenser's day: liquid, set point and outdoor air on top; speed, each fan, compressors and alarm below. */
const props = defineProps<{ series: readonly CondenserSample[]; switched: boolean }>();
const display = useDisplay();
const HOURS = 24;
const points = (of: 'outdoor' | 'setpoint' | 'liquid') => props.series.map((s) => [s.t, s[of]] as const);
const curves = computed<readonly StripCurve[]>(() => [
  {
    id: 'outdoor',
    name: 'outdoors',
    points: points('outdoor'),
    stroke: 'var(--color-cold)',
    dash: '2 3',
    wide: 1.8,
  },
  {
    id: 'setpoint',
    name: 'set point',
    points: points('setpoint'),
    stroke: 'var(--color-brine)',
    dash: '7 4',
    wide: 1.8,
  },
  { id: 'liquid', name: 'liquid', points: points('liquid'), stroke: 'var(--color-ink)', dash: '', wide: 1.4 },
]);
const lane = (name: string, fill: string, on: (s: CondenserSample) => boolean): StripLane => ({
  name,
  fill: `var(--color-${fill})`,
  own: stretches(props.series, on, HOURS * 3600),
  under: [],
});
const lanes = computed(() => [
  ...(props.switched
    ? (props.series[0]?.fans ?? []).map((_, i) => lane(`Fan ${i + 1}`, 'drip', (s) => s.fans[i] === true))
    : []),
  lane('Compressor', 'cold', (s) => s.compressors > 0),
  lane('Quiet', 'soft', (s) => s.quiet),
  lane('Alarm', 'alarm', (s) => s.alarm),
]);
const share = computed(() => ({
  name: 'Fans',
  stroke: 'var(--color-drip)',
  points: props.series.map((s) => [s.t, s.output] as const),
}));
function read(seconds: number): string {
  const s = sampleAt(props.series, seconds);
  if (!s) return '';
  const show = (celsius: number) => shownCelsius(celsius, display.unit);
  return `${clock(s.t)}: outdoors ${show(s.outdoor)}, condensing ${show(s.condensing)}, liquid ${show(s.liquid)}, set point ${show(s.setpoint)}, fans ${Math.round(s.output * 100)} %`;
}
const csv = () =>
  writeCsv(
    [
      't_s',
      'outdoor_degC',
      'condensing_degC',
      'liquid_degC',
      'setpoint_degC',
      'output_percent',
      'compressors',
      'alarm',
    ],
    props.series.map((s) =>
      [
        s.t,
        s.outdoor,
        s.condensing,
        s.liquid,
        s.setpoint,
        s.output * 100,
        s.compressors,
        Number(s.alarm),
      ].map(String),
    ),
  );
</script>

<template>
  <TimeStrip
    data-test="fan-strip"
    label="Cursor on the condenser’s day"
    :hours="HOURS"
    :curves="curves"
    :limits="[]"
    :share="share"
    :lanes="lanes"
    :read="read"
    :near="() => []"
    :csv="csv"
  />
</template>
