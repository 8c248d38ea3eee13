<script setup lang="ts">
import { computed } from 'vue';
import { lowestCondensing } from '@brine/core/foundation/refrigerants';
import type { SettingValues } from '@brine/core/foundation/settings';
import type { FactId } from '@brine/core/foundation/unit';
import FactFields from '../../shared/job/FactFields.vue';
import { useJob } from '../../shared/job/useJob.ts';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import CautionNote from '../../shared/ui/CautionNote.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import FanStrip from './FanStrip.vue';
import ToolTables from '../../shared/ui/ToolTables.vue';
import { fanWhatIfs, useCondenser } from './useCondenser.ts';
import { useFanFigures } from './useFanFigures.ts';
import { useFanTables } from './useFanTables.ts';

/** What the fans' settings do over a day on this condenser, and what would do better. */
const emit = defineEmits<{ take: [values: SettingValues, why: string] }>();
const job = useJob();
const display = useDisplay();
const session = useSession();
const condenser = useCondenser(job);
const { facts, config, day, whatIf, loops, floats, share } = condenser;
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
const lowest = computed(() =>
  lowestCondensing(condenser.refrigerant.value, facts.value.condenserEvaporating),
);
const { rows, marks } = useFanFigures(condenser);
const { integral, loopTable, floatTable, noLoop } = useFanTables(condenser);
const outdoorFitted = computed(() => job.program.value.unit?.probes.includes('outdoor') ?? false);
const take = (values: SettingValues, why: string) => emit('take', values, why);
/** A control of one relay holds its set point. */
const mayFloat = computed(
  () =>
    (job.replacement.value?.parameters.some((p) => p.setting === 'condenser.floating') ?? false) &&
    outdoorFitted.value,
);
</script>

<template>
  <div class="flex flex-col gap-5">
    <div class="flex flex-wrap items-end gap-3">
      <FactFields :facts="asked" :values="facts" :editable="session.mayWrite" />
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
