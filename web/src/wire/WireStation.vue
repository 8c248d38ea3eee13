<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { endWords, wireIds } from '@brine/core/wiring/circuit';
import { useJob } from '../shared/job/useJob.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import { useNarrow } from '../shared/ui/useNarrow.ts';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import AsFound from './AsFound.vue';
import BeforePower from './BeforePower.vue';
import BesidePictures from './BesidePictures.vue';
import DiagramView from './DiagramView.vue';
import KitView from './KitView.vue';
import MeterPane from './MeterPane.vue';
import WireList from './WireList.vue';
import WiringFindings from './WiringFindings.vue';
import { powerWords } from './powerWords.ts';

type View = 'found' | 'diagram' | 'list' | 'meter' | 'kit';
const props = defineProps<{ view?: string }>();
const job = useJob();
const router = useRouter();
const narrow = useNarrow();
const wiring = computed(() => job.wiring.value);
const plan = computed(() => wiring.value.plan);
/** On a phone the meter has a view of its own; at a desk it stands beside each of the others. */
const views = computed(() =>
  narrow.value
    ? [
        { id: 'found' as const, name: 'Found' },
        { id: 'diagram' as const, name: 'Diagram' },
        { id: 'list' as const, name: 'Wires' },
        { id: 'meter' as const, name: 'Meter' },
        { id: 'kit' as const, name: 'Kit' },
      ]
    : [
        { id: 'found' as const, name: 'As found' },
        { id: 'diagram' as const, name: 'Diagram' },
        { id: 'list' as const, name: 'Wire list' },
        { id: 'kit' as const, name: 'Kit' },
      ],
);
const view = computed<View>(() =>
  views.value.some(({ id }) => id === props.view)
    ? (props.view as View)
    : wiring.value.started === null
      ? 'found'
      : 'diagram',
);
const metered = computed(
  () => plan.value !== null && (narrow.value ? view.value === 'meter' : view.value !== 'found'),
);
const beside = ref<'meter' | 'pictures'>('meter');
const sides = [
  { id: 'meter' as const, name: 'Meter' },
  { id: 'pictures' as const, name: 'Pictures as found' },
];
const pictured = computed(() => !narrow.value && wiring.value.pictures.length > 0);
const family = computed(() => job.replacement.value?.family ?? null);
const heading = computed(() => {
  if (view.value === 'found') return 'What hangs on what, as found';
  if (view.value === 'kit') return 'What to take along';
  const count = wiring.value.tasks.length;
  return family.value ? `${count} wires into the ${family.value}` : 'The new circuit';
});
const state = ref('cooling');
watch(
  () => Object.keys(plan.value?.circuit.states ?? {}).join(),
  (names) => {
    const list = names.split(',');
    if (state.value !== 'dead' && !list.includes(state.value)) state.value = list[1] ?? list[0] ?? 'off';
  },
  { immediate: true },
);
const shown = ref<readonly string[]>([]);
useJumpTargets(() =>
  (plan.value?.circuit.wires ?? [])
    .filter((wire) => !wire.internal)
    .map((wire, i) => ({
      id: `wire:${i}`,
      title: `Wire ${wire.label ?? ''}`,
      detail: `${endWords(plan.value!.circuit, wire.from)} to ${endWords(plan.value!.circuit, wire.to)}`,
      words: [wire.colour, wire.purpose].filter(Boolean).join(' '),
      go: () => show([wireIds(plan.value!.circuit.wires)[plan.value!.circuit.wires.indexOf(wire)]!]),
    })),
);
const go = (next: View) => router.push(`/jobs/${job.id}/wire/${next}`);
function show(wires: readonly string[]) {
  shown.value = wires;
  if (view.value !== 'diagram' && view.value !== 'list') void go('diagram');
}
</script>

<template>
  <div
    class="grid flex-1 lg:min-h-0"
    :class="{ 'lg:grid-cols-[minmax(0,1fr)_minmax(0,27rem)]': metered && !narrow }"
  >
    <section class="flex min-w-0 flex-col px-4 pt-4 sm:px-5 lg:min-h-0">
      <div class="flex flex-wrap items-center gap-x-5 gap-y-2 print:hidden">
        <h2 class="text-[21px]">{{ heading }}</h2>
        <span class="hint" data-test="power">{{ powerWords(wiring.power) }}</span>
        <span class="flex-1"></span>
        <SegmentedControl label="View" :options="views" :model-value="view" @update:model-value="go" />
      </div>
      <div
        class="mt-3 flex flex-1 flex-col pb-4 lg:min-h-0 lg:overflow-auto"
        tabindex="0"
        role="region"
        :aria-label="heading"
      >
        <AsFound v-if="view === 'found'" />
        <p v-else-if="!plan" class="mt-3 max-w-prose">
          <template v-if="wiring.problem"
            >The circuit as found cannot be drawn yet: {{ wiring.problem.message }}.</template
          >
          <template v-else-if="wiring.started === null"
            >Nothing is traced yet.
            <RouterLink class="link" :to="`/jobs/${job.id}/wire/found`">Trace the wires first</RouterLink>;
            the new circuit follows from them.</template
          >
          <template v-else-if="!job.newPin.value"
            >No new control is chosen.
            <RouterLink class="link" :to="`/jobs/${job.id}/fit`">Choose it in Fit</RouterLink>; its terminals
            then stand here.</template
          >
          <template v-else>Loading the definition of the new control …</template>
        </p>
        <template v-else>
          <ul v-if="plan.problems.length > 0" class="mb-3 flex flex-col gap-2">
            <li
              v-for="problem in plan.problems"
              :key="problem"
              class="border-l-4 border-alarm bg-alarm-wash px-3 py-2"
              role="alert"
            >
              <strong class="font-semibold">To be decided by hand. </strong>{{ problem }}
            </li>
          </ul>
          <BeforePower v-if="view !== 'kit'" class="mb-3" />
          <WiringFindings
            v-if="plan.findings.length > 0"
            class="mb-3 max-md:order-last max-md:mt-3"
            :findings="plan.findings"
          />
          <DiagramView
            v-if="view === 'diagram'"
            v-model:state="state"
            :circuit="plan.circuit"
            :shown="shown"
            :wired="wiring.wired"
            :tasks="wiring.tasks"
            @select="(wires) => (shown = wires)"
          />
          <WireList v-else-if="view === 'list'" :shown="shown" />
          <KitView v-else-if="view === 'kit'" />
        </template>
      </div>
    </section>
    <aside
      v-if="metered"
      class="flex min-w-0 flex-col gap-4 border-t border-hairline bg-sheet px-4 py-4 sm:px-5 lg:min-h-0 lg:overflow-auto lg:border-t-0 lg:border-l print:hidden"
      aria-label="Meter"
    >
      <SegmentedControl
        v-if="pictured"
        v-model="beside"
        class="self-start"
        label="Beside the drawing"
        :options="sides"
      />
      <BesidePictures v-if="pictured && beside === 'pictures'" :shown="shown" />
      <MeterPane v-else v-model:state="state" @show="show" />
    </aside>
  </div>
</template>
