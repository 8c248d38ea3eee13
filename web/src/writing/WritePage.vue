<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import PracticeBench from '../shared/bench/PracticeBench.vue';
import { definitionByHash } from '../shared/job/definitions.ts';
import { useControllers } from '../shared/job/useControllers.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import BuiltInStep from './BuiltInStep.vue';
import ConnectionsStep from './ConnectionsStep.vue';
import PanelPick from './PanelPick.vue';
import PasteBox from './PasteBox.vue';
import RowTable from './RowTable.vue';
import SaveCard from './SaveCard.vue';
import { useWriting, writingOf } from './useWriting.ts';

/** A controller written down from its booklet: the table, the panel, then tried and saved. */
const props = defineProps<{ from?: string }>();
const session = useSession();
const live = useWriting();
const { controllers } = useControllers();
const step = ref<'table' | 'connections' | 'builtIn' | 'panel' | 'try'>('table');
const steps = [
  { id: 'table' as const, name: '1 Table' },
  { id: 'connections' as const, name: '2 Connections' },
  { id: 'builtIn' as const, name: '3 Built in' },
  { id: 'panel' as const, name: '4 Keys' },
  { id: 'try' as const, name: '5 Try and save' },
];

/** A new version of a saved one begins with what that one was written from. */
const origin = computed(() => (props.from ? definitionByHash(props.from) : null));
watch(
  origin,
  (definition) => {
    const from = definition && writingOf(definition);
    if (!from) return;
    const versions = controllers.value
      .filter((c) => c.id === definition.id)
      .map((c) => Number.parseInt(c.version, 10) || 1);
    live.takeUp(from, String(Math.max(1, ...versions) + 1));
  },
  { immediate: true },
);
const tried = computed(() =>
  JSON.stringify([live.draft.value.definition.parameters, live.draft.value.definition.panel]),
);
function startAnew() {
  if (confirm('Throw away the table and every decision on it?')) live.startAnew();
}
</script>

<template>
  <div class="flex-1 bg-sheet px-4 py-5 sm:px-6">
    <p><RouterLink to="/controls" class="link">Controls</RouterLink></p>
    <div class="flex flex-wrap items-center gap-x-6 gap-y-3">
      <h1>Add a controller</h1>
      <SegmentedControl v-model="step" label="Step" :options="steps" />
      <AppButton v-if="live.writing.value.text !== ''" kind="quiet" @click="startAnew">Start anew</AppButton>
    </div>
    <p v-if="!session.mayWrite" class="mt-4">Only technicians and leads write controls down.</p>
    <template v-else>
      <div v-if="step === 'table'" class="mt-4 flex flex-col gap-6">
        <PasteBox :live="live" />
        <RowTable v-if="live.rows.value.length > 0" :live="live" />
      </div>
      <ConnectionsStep v-else-if="step === 'connections'" class="mt-4" :live="live" />
      <BuiltInStep v-else-if="step === 'builtIn'" class="mt-4" :live="live" />
      <PanelPick v-else-if="step === 'panel'" class="mt-4" :live="live" />
      <div v-else class="mt-4 flex flex-col gap-8">
        <SaveCard :live="live" />
        <PracticeBench v-if="live.machine.value" :key="tried" :machine="live.machine.value" draft />
      </div>
    </template>
  </div>
</template>
