<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { type Progress } from '@brine/core/record/job';
import { stationNames, type StationId } from '@brine/core/record/stations';
import { pathOf, stationAfter } from './resume.ts';

/** The next act under the thumb: how far this station is, and where it goes on. */
const props = defineProps<{
  jobId: string;
  here: StationId;
  atCabinet: boolean;
  progress: Readonly<Record<StationId, Progress>>;
  keyed: number;
}>();
/** Its place below the page. */
const below = document.querySelector('#under-thumb');
const next = computed(() => {
  const { progress, here } = props;
  // In Program the cabinet comes before the next station.
  if (here === 'program' && !progress.program.done && !props.atCabinet)
    return { to: 'program/cabinet', words: 'Key it in' };
  const station = stationAfter(progress, here);
  return station && { to: pathOf(station, props.keyed), words: stationNames[station] };
});
</script>

<template>
  <Teleport :to="below ?? 'body'" :disabled="!below">
    <nav
      class="flex shrink-0 items-stretch border-t border-ink bg-sheet md:hidden print:hidden"
      aria-label="Next"
      data-test="next-bar"
    >
      <p class="flex min-w-0 flex-1 items-center px-4 py-1 text-[14px] leading-tight text-soft">
        {{ stationNames[here] }}: {{ progress[here].words }}
      </p>
      <RouterLink
        v-if="next"
        :to="`/jobs/${jobId}/${next.to}`"
        class="flex min-h-12 max-w-[60%] items-center bg-brine px-5 text-[16px] font-semibold text-on-brine"
        data-test="next-act"
        >{{ next.words }} →</RouterLink
      >
    </nav>
  </Teleport>
</template>
