<script setup lang="ts">
import { computed } from 'vue';
import {
  gaugeOf,
  fluidNamed,
  isOutOfRange,
  KPA_PER_PSI,
  lowestCondensing,
  pressureAt,
} from '@brine/core/foundation/refrigerants';
import { quantity } from '@brine/core/foundation/quantities';
import type { SettingValues } from '@brine/core/foundation/settings';
import type { FactId } from '@brine/core/judgement/tools';
import { shownCelsius, shownKelvin, typedKelvin, type ToolTable } from '@brine/core/judgement/tools';
import FactField from '../../shared/job/FactField.vue';
import { useJob } from '../../shared/job/useJob.ts';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import CautionNote from '../../shared/ui/CautionNote.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import FanStrip from './FanStrip.vue';
import ToolTables from '../../shared/ui/ToolTables.vue';
import { fanWhatIfs, useCondenser } from './useCondenser.ts';

/** What the fans' settings do over a day on this condenser, and what would do better. */
const emit = defineEmits<{ take: [values: SettingValues, why: string] }>();
const job = useJob();
const display = useDisplay();
const session = useSession();
const condenser = useCondenser(job);
const { facts, config, day, whatIf, loops, floats, share, bestLoop: loop, bestFloat: float } = condenser;
const asked: readonly FactId[] = [
  'condenserKilowatts',
  'condenserCompressors',
  'condenserFans',
  'condenserFanWatts',
  'condenserEvaporating',
  'outdoorLow',
  'outdoorHigh',
  'condenserDirty',
];
const celsius = (c: number) => shownCelsius(c, display.unit);
const kelvin = (k: number) => shownKelvin(k, display.unit);
const lowest = computed(() =>
  lowestCondensing(condenser.refrigerant.value, facts.value.condenserEvaporating),
);
const fluid = computed(() => fluidNamed(condenser.refrigerant.value) ?? null);
/** Saturation beside a temperature, where the refrigerant has a checked equation. */
function beside(c: number): string {
  if (!fluid.value) return '';
  const kPa = pressureAt(fluid.value, c, 'bubble');
  if (isOutOfRange(kPa)) return '';
  const gauge = gaugeOf(kPa);
  return display.unit === 'degF'
    ? ` (${(gauge / KPA_PER_PSI).toFixed(0)} psi)`
    : ` (${(gauge / 100).toFixed(1)} bar)`;
}
const rows = computed(() => {
  const f = day.value?.figures;
  if (!f || !config.value) return [];
  const switched = config.value.method === 'onOff';
  const list = (numbers: readonly number[], digits: number) =>
    (switched ? numbers : numbers.slice(0, 1)).map((n) => n.toFixed(digits)).join(' / ');
  return [
    [
      'Liquid, coldest / mean / warmest',
      `${celsius(f.liquid.min)} / ${celsius(f.liquid.mean)} / ${celsius(f.liquid.max)}${beside(f.liquid.max)}`,
    ],
    [switched ? 'Starts of each fan' : 'Starts of the drive', list(f.fanStarts, 0)],
    [switched ? 'Hours of each fan' : 'Hours of the fans', list(f.fanHours, 1)],
    ['Mean output while a compressor runs', `${f.meanPercent.toFixed(0)} %`],
    ['Turns of the output an hour', f.turnsPerHour.toFixed(1)],
    ['Starts and hours of the compressors', `${f.compressorStarts} / ${f.compressorHours.toFixed(1)}`],
    ['Below what the valve needs', `${f.starvedMinutes.toFixed(0)} min`],
    [
      'Fans / compressors / together',
      `${f.fanKWh.toFixed(1)} / ${f.compressorKWh.toFixed(1)} / ${f.totalKWh.toFixed(1)} kWh`,
    ],
  ] as const;
});
const integral = computed(() => config.value?.method === 'proportionalIntegral');
/** The calmest of what was tried, and what is set now. */
const SHOWN = 9;
const shownLoops = computed(() => {
  const calm = loops.value.toSorted((a, b) => a.turnsPerHour - b.turnsPerHour || a.meanErrorK - b.meanErrorK);
  const present = loops.value.find(
    (t) =>
      t.band === config.value?.differential &&
      t.integralTime === config.value.integralTime &&
      t.speedMin === config.value.speed.min,
  );
  return [
    ...new Set([...(loop.value ? [loop.value] : []), ...calm.slice(0, SHOWN), ...(present ? [present] : [])]),
  ].map((t) => ({
    t,
    present: t === present,
  }));
});
const loopRows = computed(() =>
  shownLoops.value.map(({ t, present }) => ({
    id: `${t.band}:${t.integralTime}:${t.speedMin}`,
    cells: [
      `${kelvin(t.band)}${present ? ', in the unit' : ''}`,
      integral.value ? `${t.integralTime} s` : 'none',
      `${Math.round(t.speedMin * 100)} %, ${t.kickTime > 0 ? `${t.kickTime} s kick` : 'no kick'}`,
      t.hunts ? `${t.turnsPerHour.toFixed(0)}, hunts` : t.turnsPerHour.toFixed(0),
      kelvin(t.meanErrorK),
    ],
    best: t === loop.value,
    off: t.hunts,
    values: {
      'condenser.differential': typedKelvin(t.band, display.unit),
      ...(integral.value ? { 'condenser.integralTime': quantity(t.integralTime, 's') } : {}),
      ...(t.speedMin === config.value?.speed.min
        ? {}
        : {
            'condenser.speedMin': quantity(Math.round(t.speedMin * 100), '%'),
            'condenser.kickTime': quantity(t.kickTime, 's'),
          }),
    } as SettingValues,
    why: `tried on this condenser: ${t.turnsPerHour.toFixed(0)} turns an hour, ${kelvin(t.meanErrorK)} off the set point`,
  })),
);
const floatRows = computed(() =>
  floats.value.map((t) => ({
    id: String(t.difference),
    cells: [
      t.difference === null ? 'stands' : `${kelvin(t.difference)} above outdoors`,
      `${t.fanKWh.toFixed(1)} kWh`,
      `${t.compressorKWh.toFixed(1)} kWh`,
      `${t.totalKWh.toFixed(1)} kWh`,
      t.starvedMinutes > 10
        ? `${t.starvedMinutes.toFixed(0)} min, too long`
        : `${t.starvedMinutes.toFixed(0)} min`,
    ],
    best: t === float.value,
    off: t.starvedMinutes > 10,
    values: (t.difference === null
      ? { 'condenser.floating': false }
      : {
          'condenser.floating': true,
          'condenser.outdoorProbe': true,
          'condenser.floatingDifference': typedKelvin(t.difference, display.unit),
        }) as SettingValues,
    why: `tried on this condenser: ${t.totalKWh.toFixed(1)} kWh a day in all`,
  })),
);
const outdoorFitted = computed(() => job.program.value.unit?.probes.includes('outdoor') ?? false);
const loopTable = computed<ToolTable>(() => ({
  id: 'loops',
  title: 'Bands, from 00:00 to 06:00',
  heads: ['Band', 'Integral', 'Least speed', 'Turns an hour', 'Off the set point'],
  rows: loopRows.value,
}));
const floatTable = computed<ToolTable>(() => ({
  id: 'floats',
  title: 'Set point that floats, a day',
  heads: ['Set point', 'Fans', 'Compressors', 'Together', 'Valve starves'],
  rows: floatRows.value,
}));
/** Said where a slower fan is the answer, or none is. */
const noLoop = computed(() => {
  if (!loop.value)
    return 'All of them hunt on such a night: at their least the fans still move too much air. Switch off part of them, or close half of the condenser.';
  return loop.value.speedMin < (config.value?.speed.min ?? 0)
    ? 'At their least speed the fans move more air than such a night needs: slower is calm. Only where motor and drive may turn so slowly; ask the plates.'
    : '';
});
const take = (values: SettingValues, why: string) => emit('take', values, why);
/** A control of one relay holds its set point. */
const mayFloat = computed(
  () => job.replacement.value?.parameters.some((p) => p.setting === 'condenser.floating') ?? false,
);
const marks = computed(() => {
  const c = config.value;
  if (!c) return [];
  const all: readonly (readonly [string, number | null])[] = [
    ['Set point', c.setpoint],
    [c.method === 'onOff' ? 'All fans on' : 'Full speed', c.setpoint + c.differential],
    ['Lowest set point', c.setpointMin],
    ['High alarm', c.alarms.high],
    ['Low alarm', c.alarms.low],
  ];
  return all.flatMap(([name, at]) => (at === null ? [] : [{ name, words: `${celsius(at)}${beside(at)}` }]));
});
</script>

<template>
  <div class="flex flex-col gap-5">
    <div class="flex flex-wrap items-end gap-3">
      <FactField
        v-for="fact in asked"
        :key="fact"
        :fact="fact"
        :value="facts[fact]"
        :editable="session.mayWrite"
      />
    </div>
    <p v-if="!config">Choose a control that regulates condenser fans; its day then shows here.</p>
    <template v-else>
      <p class="flex flex-wrap gap-x-6 gap-y-1 text-[14.5px]" data-test="fan-marks">
        <span v-for="m in marks" :key="m.name"
          ><span class="text-soft">{{ m.name }}</span> <span class="font-mono">{{ m.words }}</span></span
        >
      </p>
      <label class="flex flex-wrap items-center gap-2 text-[14.5px]"
        >What if
        <select v-model="whatIf" data-test="fan-what-if">
          <option v-for="(one, id) in fanWhatIfs" :key="id" :value="id">{{ one.words }}</option>
        </select></label
      >
      <FormProblem :message="condenser.dayProblem.value" />
      <FanStrip v-if="day" :series="day.series" :switched="config.method === 'onOff'" />
      <p v-else class="text-soft" role="status">Simulating a day of this condenser …</p>
      <table v-if="day" class="table-plain max-w-3xl" data-test="fan-figures">
        <tbody>
          <tr v-for="[name, value] in rows" :key="name" class="[&>td]:!py-1.5">
            <td>{{ name }}</td>
            <td class="!pr-0 text-right font-mono text-[14px]">{{ value }}</td>
          </tr>
        </tbody>
      </table>
      <p class="max-w-3xl text-[14.5px]">
        {{ display.words(lowest.why) }} A day here is an estimate on a lumped condenser.
      </p>
      <div class="flex flex-wrap items-center gap-3">
        <AppButton data-test="try-loops" :disabled="share !== null" @click="condenser.tryLoops"
          >Try bands{{ integral ? ' and integral times' : '' }}</AppButton
        >
        <AppButton
          v-if="mayFloat"
          data-test="try-floats"
          :disabled="share !== null"
          @click="condenser.tryFloats"
          >Try a floating set point</AppButton
        >
        <p v-if="share !== null" class="flex items-center gap-3" role="status">
          <progress class="bar w-40" :value="share" max="1" aria-label="Trying"></progress> Trying …
          <AppButton kind="quiet" @click="condenser.stop">Stop</AppButton>
        </p>
      </div>
      <FormProblem :message="condenser.problem.value" />
      <section v-if="loops.length > 0" data-test="loops" class="flex shrink-0 flex-col gap-1">
        <p v-if="noLoop">{{ noLoop }}</p>
        <ToolTables :tables="[loopTable]" :editable="session.mayWrite" @take="take" />
      </section>
      <section v-if="floats.length > 0" data-test="floats" class="flex shrink-0 flex-col gap-1">
        <p v-if="!outdoorFitted">There is no outdoor probe yet: floating needs one.</p>
        <ToolTables :tables="[floatTable]" :editable="session.mayWrite && outdoorFitted" @take="take" />
      </section>
      <CautionNote
        >Fans start by themselves, and drives hold charge: isolate, lock out and prove dead before a guard
        comes off. Ask who else is on the roof before an output is tried. The high-pressure cut-out stays as
        it is.</CautionNote
      >
    </template>
  </div>
</template>
