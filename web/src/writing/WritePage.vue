<script setup lang="ts">
import { nameHere } from '../shared/mount/mount.ts';
import { computed, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import PracticeBench from '../shared/bench/PracticeBench.vue';
import { definitionByHash } from '../shared/job/definitions.ts';
import { nextVersionOf, useControllers } from '../shared/job/useControllers.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import { useBooklet } from './booklet/useBooklet.ts';
import BuiltInStep from './BuiltInStep.vue';
import ConnectionsStep from './ConnectionsStep.vue';
import KeysStep from './KeysStep.vue';
import PasteBox from './PasteBox.vue';
import PresetsStep from './PresetsStep.vue';
import RegistersStep from './registers/RegistersStep.vue';
import RowTable from './RowTable.vue';
import SaveCard from './SaveCard.vue';
import ShortcutsStep from './ShortcutsStep.vue';
import { useWriting, writingOf } from './useWriting.ts';
import WriterPath from './WriterPath.vue';
import { useWriterSteps, type WriterStepId } from './writerSteps.ts';

/** A controller written down from its booklet, step by step; left and taken up again at will, then tried and saved. */
const props = defineProps<{ from?: string }>();
const session = useSession();
const live = useWriting();
const booklet = useBooklet(
  (text) => live.change({ text, roles: null }),
  () => live.writing.value.text,
);
useControllers();
const steps = useWriterSteps(live);
/** Taken up again where it was left. */
const STEP = nameHere('brine-writing-step');
const left = localStorage.getItem(STEP);
const step = ref<WriterStepId>(
  live.writing.value.text !== '' ? (steps.value.find(({ id }) => id === left)?.id ?? 'booklet') : 'booklet',
);
watch(step, (now) => localStorage.setItem(STEP, now));
const at = computed(() => steps.value.findIndex(({ id }) => id === step.value));
const next = computed(() => steps.value[at.value + 1] ?? null);
function go(to: WriterStepId) {
  step.value = to;
  document.documentElement.scrollTop = 0;
}

/** A new version of a saved one begins with what that one was written from. */
const origin = computed(() => (props.from ? definitionByHash(props.from) : null));
watch(
  origin,
  (definition) => {
    const from = definition && writingOf(definition);
    if (!from) return;
    live.takeUp(from, nextVersionOf(definition.id));
    step.value = 'meanings';
  },
  { immediate: true },
);
const tried = computed(() =>
  JSON.stringify([live.written.value.parameters, live.written.value.presets, live.written.value.panel]),
);
function startAnew() {
  if (!confirm('Throw away the table and every decision on it?')) return;
  booklet.close();
  live.startAnew();
  step.value = 'booklet';
}
</script>

<template>
  <div class="flex-1 bg-sheet px-4 py-5 sm:px-6">
    <p><RouterLink to="/controls" class="link">Controls</RouterLink></p>
    <div class="flex flex-wrap items-center gap-x-6 gap-y-3">
      <h1>Add a controller</h1>
      <AppButton v-if="live.writing.value.text !== ''" kind="quiet" @click="startAnew">Start anew</AppButton>
    </div>
    <p v-if="!session.mayWrite" class="mt-4">Only technicians and leads write controls down.</p>
    <div v-else class="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-[13rem_minmax(0,1fr)]">
      <WriterPath :steps="steps" :model-value="step" @update:model-value="go" />
      <div class="min-w-0">
        <PasteBox v-if="step === 'booklet'" :live="live" :booklet="booklet" />
        <template v-else-if="step === 'meanings'">
          <RowTable v-if="live.rows.value.length > 0" :live="live" :booklet="booklet" />
          <p v-else>Paste the booklet’s table first, or choose its file.</p>
        </template>
        <ConnectionsStep v-else-if="step === 'connections'" :live="live" />
        <BuiltInStep v-else-if="step === 'builtIn'" :live="live" />
        <KeysStep v-else-if="step === 'keys'" :live="live" />
        <ShortcutsStep v-else-if="step === 'shortcuts'" :live="live" />
        <PresetsStep v-else-if="step === 'presets'" :live="live" />
        <RegistersStep v-else-if="step === 'registers'" :live="live" />
        <div v-else class="flex flex-col gap-8">
          <SaveCard :live="live" @saved="booklet.close()" />
          <PracticeBench v-if="live.machine.value" :key="tried" :machine="live.machine.value" draft />
        </div>
        <p v-if="next" class="mt-8 border-t border-hairline pt-3">
          <AppButton kind="primary" data-test="next-step" @click="go(next.id)"
            >Next: {{ next.name }}</AppButton
          >
        </p>
      </div>
    </div>
  </div>
</template>
