<script setup lang="ts">
import { computed, ref } from 'vue';
import { tools, type ToolId } from '@brine/core/judgement/tools';
import { isQuantity, valueIn } from '@brine/core/foundation/quantities';
import type { SettingValues } from '@brine/core/foundation/settings';
import FactFields from '../../shared/job/FactFields.vue';
import { useJob } from '../../shared/job/useJob.ts';
import { inDays } from '../../shared/display/dates.ts';
import { newId } from '../../shared/outbox/identity.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import CautionNote from '../../shared/ui/CautionNote.vue';
import FormProblem from '../../shared/ui/FormProblem.vue';
import SegmentedControl from '../../shared/ui/SegmentedControl.vue';
import FrostGrid from './FrostGrid.vue';
import HumidityNotes from './HumidityNotes.vue';
import ToolTables from '../../shared/ui/ToolTables.vue';
import { jobTools, useTool } from './useTool.ts';

/** The tools that only this kind of job needs: what is measured on site, the answer, what it stands on, what can be taken. */
const emit = defineEmits<{ take: [values: SettingValues, why: string] }>();
const job = useJob();
const session = useSession();
const own = computed(() => jobTools(job));
const chosen = ref<ToolId | null>(null);
const tool = computed<ToolId | null>(() =>
  chosen.value && own.value.includes(chosen.value) ? chosen.value : (own.value[0] ?? null),
);
const names = computed(() => own.value.map((id) => ({ id, name: tools[id].name })));
const { facts, humidity, frost, report, refusal, asked, share, running, problem, stop, run } = useTool(
  job,
  tool,
);
const sensor = computed(() => ({ row: facts.value.sensorRow, column: facts.value.sensorColumn }));

async function take(values: SettingValues, why: string) {
  emit('take', values, why);
  const runOn = values['fans.runOnTime'];
  if (tool.value !== 'humidity' || !isQuantity(runOn)) return;
  // Each step is written down, with the day on which the reading is due that decides the next.
  const minutes = Math.round(valueIn(runOn, 'min'));
  await job.write(
    { kind: 'runOnStep', doneAt: new Date().toISOString(), minutes },
    {
      kind: 'followUp',
      id: newId(),
      followUp: {
        due: inDays(3),
        what: `Read the humidity and look at the coil: run-on stands at ${minutes} min`,
        done: false,
      },
    },
  );
}
</script>

<template>
  <div class="flex flex-col gap-5" data-test="tools">
    <SegmentedControl
      v-if="names.length > 1 && tool"
      label="Tool"
      class="self-start"
      :options="names"
      :model-value="tool"
      @update:model-value="(id) => (chosen = id)"
    />
    <template v-if="tool">
      <p class="text-[15px] text-soft">{{ tools[tool].question }}</p>
      <div v-if="asked.length > 0" class="flex flex-wrap items-start gap-3">
        <FactFields :facts="asked" :values="facts" :editable="session.mayWrite" />
      </div>
      <FrostGrid
        v-if="tool === 'frost'"
        :rows="Math.round(facts.coilRows)"
        :columns="Math.round(facts.coilColumns)"
        :looks="frost"
        :sensor="sensor"
        :editable="session.mayWrite"
      />
      <HumidityNotes v-if="tool === 'humidity'" :course="humidity" :editable="session.mayWrite" />
      <p v-if="running" class="flex items-center gap-3" role="status">
        <progress class="bar w-40" :value="share" max="1" aria-label="Working it out"></progress> Working it
        out …
        <AppButton kind="quiet" @click="stop">Stop</AppButton>
      </p>
      <p v-else-if="!report && !refusal && !problem" class="hint">
        Stopped. <AppButton kind="quiet" @click="run">Work it out</AppButton>
      </p>
      <FormProblem :message="problem" />
      <p v-if="refusal" class="border-l-4 border-amber bg-amber-wash px-3 py-2">{{ refusal }}</p>
      <template v-if="report">
        <p
          class="max-w-3xl border-l-4 border-brine px-3 py-1 text-[17px]"
          data-test="tool-answer"
          aria-live="polite"
        >
          {{ report.answer }}
        </p>
        <ul class="flex max-w-3xl flex-col gap-1.5" data-test="tool-words">
          <li v-for="words in report.words" :key="words">{{ words }}</li>
        </ul>
        <ToolTables
          :tables="report.tables"
          :editable="session.mayWrite"
          @take="take"
          @take-code="({ code, value }, why) => job.write({ kind: 'plannedCode', code, value, why })"
        />
        <CautionNote v-if="report.caution" class="max-w-3xl">{{ report.caution }}</CautionNote>
      </template>
    </template>
  </div>
</template>
