<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { RouterLink, useRoute } from 'vue-router';
import { groupNames } from '@brine/core/judgement/commissioning';
import { byGroup, provingOf } from '@brine/core/record/job';
import { useDisplay } from '../../shared/display/displayStore.ts';
import { useJobJudgement } from '../../shared/job/useJudgement.ts';
import FindingList from '../../shared/ui/FindingList.vue';
import { useJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import PullDown from './PullDown.vue';
import TestCard from './TestCard.vue';
import { resultWords } from './testWords.ts';
import { useVisit } from '../visit/useVisit.ts';
import VisitPlan from '../visit/VisitPlan.vue';
import { usePredicted } from '../../shared/job/usePredicted.ts';

const job = useJob();
const session = useSession();
const display = useDisplay();
const route = useRoute();
const { predicted, running, problem } = usePredicted(job);
const visit = useVisit(job, predicted);
const proving = computed(() =>
  provingOf(
    job.state.value,
    job.program.value,
    job.wiring.value,
    job.replacement.value,
    predicted.value,
    display.unit,
  ),
);
const groups = computed(() => byGroup(proving.value.tests));
const judgement = useJobJudgement();
/** What is still said against the values: it is known before the first test, or found out by it. */
const against = computed(() => judgement.findings.value.filter((f) => f.severity !== 'note'));
const open = ref<string | null>(null);
watch(
  () => [route.hash.slice(1), proving.value.tests.length] as const,
  ([id]) => {
    if (id) open.value = id;
    else if (open.value === null)
      open.value = proving.value.tests.find((t) => t.result === null)?.test.id ?? null;
  },
  { immediate: true },
);
/** The next open test after this one, else the first open one; it opens by itself, at the top of the screen. */
async function openNext(after: string) {
  const { tests } = proving.value;
  const at = tests.findIndex((t) => t.test.id === after);
  const isOpen = (t: (typeof tests)[number]) => t.result === null && t.test.id !== after;
  const next = tests.slice(at + 1).find(isOpen) ?? tests.find(isOpen);
  open.value = next?.test.id ?? null;
  await nextTick();
  if (next)
    document
      .querySelector(`[data-test="test-${CSS.escape(next.test.id)}"]`)
      ?.scrollIntoView({ block: 'nearest' });
}
const looks = { passed: 'text-good', failed: 'text-alarm', skipped: 'text-soft' } as const;
</script>

<template>
  <p v-if="proving.problem" class="max-w-prose">{{ proving.problem }}</p>
  <div
    v-else
    class="grid gap-x-8 gap-y-6"
    :class="predicted || running ? 'lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]' : 'max-w-4xl'"
  >
    <div class="min-w-0">
      <VisitPlan
        v-if="visit.visit.value || proving.tests.some((t) => t.result === null)"
        class="mb-4"
        :of="visit"
      />
      <details v-if="against.length > 0" class="mb-4" data-test="prove-judged">
        <summary class="link py-1">
          The judgement says {{ against.length === 1 ? 'one thing' : `${against.length} things` }} against the
          values in force
        </summary>
        <FindingList class="mt-1" :findings="against" />
        <RouterLink class="link" :to="`/jobs/${job.id}/program/plan`">Mend it in Program</RouterLink>
      </details>
      <section v-for="{ group, tests } in groups" :key="group" class="mb-4" :aria-label="groupNames[group]">
        <h3 class="border-b border-ink pb-1">{{ groupNames[group] }}</h3>
        <ul>
          <li v-for="run in tests" :key="run.test.id" class="border-b border-hairline">
            <button
              type="button"
              class="flex min-h-11 w-full items-baseline gap-3 py-2 text-left"
              :aria-expanded="open === run.test.id"
              :data-test="`test-${run.test.id}`"
              @click="open = open === run.test.id ? null : run.test.id"
            >
              <span class="flex-1" :class="{ 'font-semibold': open === run.test.id }">{{
                run.test.title
              }}</span>
              <span v-if="run.startedAt && !run.result" class="hint">timer runs</span>
              <span
                class="text-[14px] whitespace-nowrap"
                :class="run.result ? looks[run.result] : 'text-soft'"
                >{{ run.result ? resultWords[run.result] : 'open' }}</span
              >
            </button>
            <TestCard
              v-if="open === run.test.id"
              :run="run"
              :editable="session.mayWrite"
              @taken="openNext(run.test.id)"
            />
          </li>
        </ul>
      </section>
    </div>
    <div class="min-w-0" :class="{ 'order-first': !predicted && !running }">
      <PullDown v-if="predicted" :predicted="predicted" :editable="session.mayWrite" />
      <p v-else-if="running" class="hint" role="status">Simulating the pull-down of this unit …</p>
      <p v-else-if="problem" class="hint">{{ problem }}</p>
    </div>
  </div>
</template>
