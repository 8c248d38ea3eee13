<script setup lang="ts">
import { computed } from 'vue';
import type { LogLayout } from '@brine/core/logs/reading';
import { isLearnable, unitScenario } from '@brine/core/judgement/tuning';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import FindingLine from '../../shared/ui/FindingLine.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import FaultSpeedBox from './FaultSpeedBox.vue';
import PairedProbeBox from './PairedProbeBox.vue';
import HeldBox from './HeldBox.vue';
import LayoutForm from './LayoutForm.vue';
import LearnBox from './LearnBox.vue';
import LogStrip from './LogStrip.vue';
import { figureLines } from './logWords.ts';
import WatchButton from '../../shared/watch/WatchButton.vue';
import { useFollowedLog } from './useFollowedLog.ts';
import { useLog } from './useLog.ts';
import { useWatchedLog } from './useWatchedLog.ts';

/** A logger's file: read, told, held against the settings, laid over the simulated day. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const log = useLog(job);
const { guessed, layout, read, share, running, problem, sending, sent, waiting, waitingProblem } = log;
const figures = computed(() => (read.value ? figureLines(read.value.judged.found, display.unit) : []));
const tidied = computed(() => {
  const t = read.value?.tidied;
  const found = read.value?.judged.found;
  if (!t || !found) return '';
  const parts = [
    `${found.samples.toLocaleString('en')} rows, ${+(found.step / 60).toFixed(2)} min apart`,
    found.gaps.length > 0 ? `${found.gaps.length} ${found.gaps.length === 1 ? 'gap' : 'gaps'}` : '',
    t.duplicates > 0 ? `${t.duplicates} rows twice` : '',
    t.unsorted > 0 ? `${t.unsorted} out of order` : '',
    t.repeatedHours > 0 ? 'a repeated hour put in order' : '',
    t.unreadable > 0
      ? `${t.unreadable} lines not read, the first ${t.problems[0]!.line}: ${t.problems[0]!.why}`
      : '',
  ];
  return `${parts.filter(Boolean).join('; ')}.`;
});
/** A log of the air of a box that is cooled: what else there is has no box to be learned. */
const learns = computed(() => {
  const { unit, inForce } = job.program.value;
  if (!unit || !read.value?.log.values.air) return false;
  const scenario = unitScenario(unit, inForce);
  return typeof scenario !== 'string' && isLearnable(scenario);
});
function choose(event: Event) {
  const input = event.target as HTMLInputElement;
  if (input.files?.[0]) void log.choose(input.files[0]);
  input.value = '';
}
const fromCamera = useWatchedLog();
const fromBus = useFollowedLog();
const change = (next: LogLayout) => (layout.value = next);
</script>

<template>
  <div class="flex flex-col gap-5">
    <div class="flex flex-wrap items-center gap-4">
      <label
        class="inline-flex min-h-11 cursor-pointer items-center rounded-md border border-brine px-4 text-[15px] font-medium text-brine focus-within:outline-2"
        >Choose a logger’s file<input
          type="file"
          accept=".csv,.txt,.tsv,text/*"
          class="sr-only"
          data-test="log-file"
          @change="choose"
      /></label>
      <AppButton v-if="fromCamera" data-test="log-from-camera" @click="log.choose(fromCamera!())"
        >Use what the camera read</AppButton
      >
      <AppButton v-if="fromBus" data-test="log-from-bus" @click="log.choose(fromBus!())"
        >Use what was followed over the bus</AppButton
      >
      <WatchButton />
      <span class="hint">CSV of any layout: commas, semicolons or tabs, °F or °C, any order of dates.</span>
    </div>
    <ul
      v-if="job.proving.value.logs.length > 0"
      class="flex flex-wrap gap-x-6 gap-y-1 text-[14.5px]"
      data-test="kept-logs"
    >
      <li v-for="kept in job.proving.value.logs" :key="kept.id">
        <button type="button" class="link" @click="log.open(kept.id, kept.name)">{{ kept.name }}</button>
        <span class="text-soft"
          >, {{ kept.samples.toLocaleString('en') }} rows<template v-if="waiting.has(kept.id)"
            >, still on this device only</template
          ></span
        >
      </li>
    </ul>
    <FormProblem :message="problem" />
    <FormProblem :message="waitingProblem" />
    <LayoutForm
      v-if="guessed && layout && !read"
      :guessed="guessed"
      :layout="layout"
      :busy="running"
      @change="change"
      @read="log.readFile"
    />
    <p v-if="share !== null" class="flex items-center gap-3" role="status">
      <progress class="bar w-56" :value="share" max="1" aria-label="Reading"></progress>
      {{ share < 1 ? `Reading, ${Math.round(share * 100)} %` : 'Working it out …' }}
      <AppButton kind="quiet" @click="log.stop">Stop</AppButton>
    </p>
    <template v-if="read">
      <div class="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h3>{{ read.name }}</h3>
        <span class="hint" data-test="tidied">{{ tidied }}</span>
        <span class="flex-1"></span>
        <AppButton
          v-if="session.mayWrite && !sent"
          :disabled="sending"
          data-test="keep-log"
          @click="log.keep"
          >{{ sending ? 'Handing it over …' : 'Keep it with the job' }}</AppButton
        >
        <span v-else-if="sent && waiting.has(sent)" data-test="log-waits"
          >Kept on this device; it goes to the server when that answers.</span
        >
        <span v-else-if="sent" class="text-good" data-test="log-kept">✓ kept with the job</span>
      </div>
      <ul v-if="read.judged.findings.length > 0" class="flex flex-col gap-2" data-test="log-findings">
        <FindingLine
          v-for="f in read.judged.findings"
          :key="f.code + f.message"
          :severity="f.severity"
          past
          :code="f.code"
          :message="f.message"
          ><span class="block text-soft">{{ f.why }}</span></FindingLine
        >
      </ul>
      <p v-else class="border-l-4 border-good bg-good-wash px-3 py-2" data-test="log-agrees">
        ✓ Nothing in this log speaks against the settings.
      </p>
      <FaultSpeedBox v-if="read.log.values.fanPercent" :log="read.log" />
      <PairedProbeBox
        v-if="
          job.program.value.unit?.application === 'vehicleFridge' &&
          read.log.values.air &&
          read.log.values.coil
        "
        :air="read.log.values.air"
        :plate="read.log.values.coil"
      />
      <HeldBox v-if="read.log.values.air" :read="read" :kept="sent" />
      <LogStrip v-if="read.log.values.air" :log="read.log" />
      <LearnBox v-if="learns" :read="read" />
      <table class="table-plain max-w-4xl" data-test="log-figures">
        <thead>
          <tr>
            <th>Figure</th>
            <th>From the log</th>
            <th class="hidden sm:table-cell">How sure</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in figures" :key="line.name">
            <td>
              {{ line.name }}<span class="hint block sm:hidden">{{ line.sure }}</span>
            </td>
            <td class="font-mono sm:whitespace-nowrap" :class="{ 'text-soft': line.value === 'not told' }">
              {{ line.value }}
            </td>
            <td class="hidden !pr-0 text-[14px] text-soft sm:table-cell">{{ line.sure }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </div>
</template>
