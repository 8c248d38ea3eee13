<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { type Progress } from '@brine/core/record/job';
import { openStations, stationNames, stations, type StationId } from '@brine/core/record/stations';

const props = defineProps<{
  jobId: string;
  here: StationId;
  /** Null until it is computed: the words of the stations have their place, and are empty. */
  progress: Readonly<Record<StationId, Progress>> | null;
}>();
const steps = computed(() =>
  stations.map((id, i) => {
    const open = openStations.has(id);
    const { words, done } = props.progress?.[id] ?? { words: '\u00a0', done: false };
    const ring = done
      ? 'border-brine bg-brine text-on-brine'
      : id === props.here
        ? 'border-amber bg-amber text-[#17282b]'
        : 'border-brine text-brine';
    return {
      id,
      name: stationNames[id],
      words,
      mark: done ? '✓' : String(i + 1),
      open,
      current: id === props.here,
      ring: open ? ring : 'border-dashed border-edge text-soft',
    };
  }),
);
const strip = ref<HTMLElement | null>(null);
/** On a phone the strip is wider than the screen: the current station stands in its middle. */
async function showHere() {
  await nextTick();
  // With the next picture: measured before it, the whole page would be laid out once more.
  await new Promise((drawn) => requestAnimationFrame(drawn));
  const node = strip.value?.querySelector<HTMLElement>('[aria-current="step"]')?.parentElement;
  if (strip.value && node)
    strip.value.scrollLeft = node.offsetLeft - (strip.value.clientWidth - node.offsetWidth) / 2;
}
onMounted(showHere);
watch(() => props.here, showHere);
</script>

<template>
  <nav
    ref="strip"
    aria-label="Stations of this job"
    class="relative flex min-w-0 flex-1 overflow-x-auto print:hidden"
  >
    <ol class="flex flex-1 items-stretch">
      <li
        v-for="step in steps"
        :key="step.id"
        class="shrink-0 md:min-w-0 md:flex-1 md:shrink"
        :class="{ 'hidden lg:block': !step.open }"
      >
        <component
          :is="step.open ? RouterLink : 'span'"
          :to="`/jobs/${jobId}/${step.id}`"
          class="flex h-full min-h-11 items-center gap-2 px-3 py-1 md:gap-2.5 md:py-2"
          :class="{ 'opacity-70': !step.open, 'bg-band': step.current }"
          :aria-current="step.current ? 'step' : undefined"
          :aria-disabled="step.open ? undefined : 'true'"
        >
          <span
            class="grid size-6 shrink-0 place-items-center rounded-full border-[1.5px] text-[13px] font-semibold"
            :class="step.ring"
            >{{ step.mark }}</span
          >
          <span class="min-w-0">
            <span
              class="block font-head text-[15px] leading-tight"
              :class="step.current ? 'font-semibold' : 'font-medium'"
              >{{ step.name }}</span
            >
            <span class="hidden text-[12.5px] leading-tight text-soft md:block">{{ step.words }}</span>
          </span>
        </component>
      </li>
    </ol>
  </nav>
</template>
