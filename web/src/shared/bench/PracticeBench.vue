<script setup lang="ts">
import { computed, ref } from 'vue';
import { deedWords, type Machine } from '@brine/core/controllers/panel';
import { unitBehind } from '@brine/core/practice/drills';
import { newId } from '../outbox/identity.ts';
import CautionNote from '../ui/CautionNote.vue';
import FormProblem from '../ui/FormProblem.vue';
import DrillCard from './DrillCard.vue';
import PanelFace from './PanelFace.vue';
import ProgressTable from './ProgressTable.vue';
import type { DrillResult } from './useDrill.ts';
import UnitCard from './UnitCard.vue';
import WhyWarmCard from './WhyWarmCard.vue';
import { useLivePanel } from './useLivePanel.ts';
import { useProgress } from './useProgress.ts';

/** A working panel of one family, and drills on it. A draft that is only tried keeps no progress. */
const props = defineProps<{ machine: Machine; draft?: boolean }>();
const deeds = computed(() => deedWords(props.machine.panel));
const live = useLivePanel(props.machine, new Map());
/** Controls that regulate no air have no box behind them. */
const hasUnit = unitBehind(props.machine.definition, live.state.value) !== null;
const warm = ref<InstanceType<typeof WhyWarmCard> | null>(null);
const progress = props.draft ? null : useProgress();

function finished(result: DrillResult) {
  const { id, family } = props.machine.definition;
  void progress?.keep({ ...result, id: newId(), definitionId: id, family });
}
</script>

<template>
  <div class="grid gap-8 xl:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]">
    <div>
      <PanelFace :machine="machine" :live="live" />
      <UnitCard v-if="hasUnit" :live="live" />
      <p class="hint mx-auto mt-3 max-w-md">
        Keys answer to mouse, touch and the digits on them. Several together: fingers, digits, or Shift and a
        click, which keeps a key down until it is clicked again.
      </p>
      <div v-if="deeds.length > 0" class="mx-auto mt-4 max-w-md">
        <h3>Without the menu</h3>
        <dl class="mt-1 border-t border-ink" data-test="deeds">
          <div
            v-for="deed in deeds"
            :key="deed.does"
            class="flex justify-between gap-4 border-b border-hairline py-1.5"
          >
            <dt>{{ deed.name }}</dt>
            <dd class="text-right text-soft">{{ deed.strokes.join('; ') }}</dd>
          </div>
        </dl>
      </div>
      <CautionNote class="mx-auto mt-4 max-w-md"
        >Practice sets nothing anywhere. At a real unit outputs start by themselves.</CautionNote
      >
    </div>
    <div class="flex flex-col gap-6">
      <DrillCard :machine="machine" :live="live" @finished="finished" @began="warm?.close()" />
      <WhyWarmCard v-if="hasUnit" ref="warm" :machine="machine" :live="live" @finished="finished" />
      <ProgressTable v-if="progress" :lines="progress.lines.value" :definition-id="machine.definition.id" />
      <FormProblem v-if="progress" :message="progress.problem.value" />
    </div>
  </div>
</template>
