<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { tally } from '@brine/core/record/job';
import { followedControl } from '../shared/follow/followedControl.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import FollowView from './follow/FollowView.vue';
import LogView from './log/LogView.vue';
import TripView from './trip/TripView.vue';
import ProbesView from './probes/ProbesView.vue';
import TestRun from './run/TestRun.vue';

type View = 'run' | 'trip' | 'probes' | 'log' | 'follow';
const props = defineProps<{ view?: string }>();
const job = useJob();
const router = useRouter();
const onTheRoad = computed(() => job.program.value.unit?.application === 'transportUnit');
const followed = followedControl(job);
const views = computed(() => [
  ...(onTheRoad.value ? [{ id: 'trip' as const, name: 'Trip' }] : []),
  { id: 'run' as const, name: 'Tests' },
  { id: 'probes' as const, name: 'Probes' },
  { id: 'log' as const, name: 'Log' },
  ...(followed.value ? [{ id: 'follow' as const, name: 'Follow' }] : []),
]);
const view = computed<View>(() =>
  views.value.some(({ id }) => id === props.view) ? (props.view as View) : onTheRoad.value ? 'trip' : 'run',
);
const heading = computed(
  () =>
    ({
      trip: 'The trip',
      run: 'Commissioning run',
      probes: 'Probes and calibration',
      log: 'What the logger says',
      follow: 'Followed over the bus',
    })[view.value],
);
const counted = computed(() => tally(job.proving.value));
const go = (next: View) => router.push(`/jobs/${job.id}/prove/${next}`);
useJumpTargets(() =>
  job.proving.value.tests.map(({ test }) => ({
    id: `test:${test.id}`,
    title: test.title,
    detail: 'test of the commissioning run',
    words: test.why,
    go: () => void router.push({ path: `/jobs/${job.id}/prove/run`, hash: `#${test.id}` }),
  })),
);
</script>

<template>
  <section class="flex min-w-0 flex-1 flex-col px-4 pt-4 pb-6 sm:px-5 lg:min-h-0">
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <h2 class="text-[21px]">{{ heading }}</h2>
      <span v-if="view === 'run' && counted.total > 0" class="hint" data-test="tally"
        >{{ counted.passed }} passed, {{ counted.failed }} failed, {{ counted.skipped }} skipped,
        {{ counted.open }} open</span
      >
      <span class="flex-1"></span>
      <SegmentedControl label="View" :options="views" :model-value="view" @update:model-value="go" />
    </div>
    <TestRun v-if="view === 'run'" class="mt-4" />
    <TripView v-else-if="view === 'trip'" class="mt-4" />
    <ProbesView v-else-if="view === 'probes'" class="mt-4" />
    <FollowView v-else-if="view === 'follow'" class="mt-4" />
    <LogView v-else class="mt-4" />
  </section>
</template>
