<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { RouterLink } from 'vue-router';
import NoControllers from '../shared/job/NoControllers.vue';
import { useControllers } from '../shared/job/useControllers.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useNarrow } from '../shared/ui/useNarrow.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import FitDetail from './FitDetail.vue';
import FitTable from './FitTable.vue';
import NeedsList from './NeedsList.vue';
import { useFit } from './useFit.ts';

const job = useJob();
const { rows, loading, problem } = useFit();
const { isEmpty } = useControllers();
const picked = ref<string | null>(null);
const narrow = useNarrow();
const detail = ref<InstanceType<typeof FitDetail> | null>(null);
/** On a phone the details lie below the list: go there. */
function pick(id: string) {
  picked.value = id;
  if (narrow.value)
    void nextTick(() => (detail.value?.$el as Element | undefined)?.scrollIntoView({ block: 'start' }));
}
const here = computed(
  () =>
    rows.value.find((row) => row.fit.id === (picked.value ?? job.newPin.value?.id)) ?? rows.value[0] ?? null,
);
const fitting = computed(() => rows.value.filter((row) => row.fit.verdict === 'fits').length);
const bridged = computed(() => rows.value.filter((row) => row.fit.verdict === 'bridged').length);
useJumpTargets(() =>
  rows.value.map((row) => ({
    id: `fit:${row.fit.id}`,
    title: row.fit.family,
    detail: `control, rank ${row.fit.rank}`,
    words: row.summary,
    go: () => (picked.value = row.fit.id),
  })),
);
</script>

<template>
  <p v-if="!job.wiring.value.needs" class="px-5 py-6">
    What the control must be able to do follows from what the unit is.
    <RouterLink class="link" :to="`/jobs/${job.id}/survey`">Answer the open questions in Survey</RouterLink>.
  </p>
  <div v-else class="grid flex-1 lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_minmax(0,27rem)]">
    <section
      class="min-w-0 px-4 py-4 sm:px-5 lg:min-h-0 lg:overflow-auto"
      aria-label="Controls ranked"
      tabindex="0"
    >
      <NeedsList />
      <div class="mt-6 flex flex-wrap items-baseline gap-x-4">
        <h2 class="text-[21px]">Which control</h2>
        <span class="hint" data-test="fit-summary"
          ><template v-if="loading && rows.length === 0">Comparing every control of the library …</template
          ><template v-else
            >{{ rows.length }} in the library: {{ fitting }} fit, {{ bridged }} with something
            between</template
          ></span
        >
      </div>
      <NoControllers v-if="isEmpty" class="mt-2" />
      <p v-if="loading" class="hint mt-2" role="status">Comparing the library …</p>
      <p v-if="problem" class="problem mt-2" role="alert">{{ problem }}</p>
      <FitTable
        class="mt-2"
        :rows="rows"
        :picked="here?.fit.id ?? null"
        :chosen="job.newPin.value?.id ?? null"
        @pick="pick"
      />
    </section>
    <FitDetail v-if="here" :key="here.fit.id" ref="detail" :row="here" />
  </div>
</template>
