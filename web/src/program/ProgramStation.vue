<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import { variantsOfJob } from '@brine/core/record/job';
import { printShown } from '@brine/core/record/handover';
import type { SettingId, SettingValues } from '@brine/core/foundation/settings';
import { useDrawn } from '../shared/ui/useDrawn.ts';
import { useDisplay } from '../shared/display/displayStore.ts';
import { useJob } from '../shared/job/useJob.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import TheRule from '../shared/rule/TheRule.vue';
import { useSession } from '../shared/session/sessionStore.ts';
import SegmentedControl from '../shared/ui/SegmentedControl.vue';
import PlanView from './PlanView.vue';
import { jobTools } from './tools/useTool.ts';
import ProgramAside from './ProgramAside.vue';
import {
  CabinetView,
  CompareView,
  FansView,
  ForecastView,
  LikeUnitsView,
  ToolsView,
  TuneView,
} from './views.ts';
import { useJobJudgement } from '../shared/job/useJudgement.ts';

type View = 'fans' | 'tools' | 'plan' | 'forecast' | 'tune' | 'cabinet' | 'compare' | 'like';
const props = defineProps<{ view?: string }>();
const job = useJob();
const display = useDisplay();
const session = useSession();
const router = useRouter();
const program = computed(() => job.program.value);
/** The values come first; what is said against them, and the rule below, once they stand. */
const drawn = useDrawn(() => Boolean(program.value.unit));
/** Condenser fans keep no box cold: their day and their tuning are one view. */
const ofFans = computed(() => program.value.unit?.application === 'condenserFans');
/** A heat meter regulates nothing: there is no day to simulate. */
const hasDay = computed(() => program.value.unit?.application !== 'heatMeter');
const hasTools = computed(() => jobTools(job).length > 0);
/** A control with a bus may be written as this one is, in other units. */
const hasBus = computed(() => session.mayWrite && (job.replacement.value?.registers?.length ?? 0) > 0);
const views = computed(() => [
  { id: 'plan' as const, name: 'Plan' },
  ...(ofFans.value
    ? [{ id: 'fans' as const, name: 'Fans' }]
    : hasDay.value
      ? [
          { id: 'forecast' as const, name: 'Forecast' },
          { id: 'tune' as const, name: 'Tune' },
        ]
      : []),
  ...(hasTools.value ? [{ id: 'tools' as const, name: 'Tools' }] : []),
  { id: 'cabinet' as const, name: 'At the cabinet' },
  { id: 'compare' as const, name: 'Compare' },
  ...(hasBus.value ? [{ id: 'like' as const, name: 'Like units' }] : []),
]);
const view = computed<View>(() =>
  views.value.some(({ id }) => id === props.view) ? (props.view as View) : 'plan',
);
const family = computed(() => job.replacement.value?.family);
const heading = computed(
  () =>
    ({
      fans: 'What the fans will do',
      tools: 'Tools of this kind of job',
      plan: `Planned for the ${job.job.value?.unit.name ?? 'unit'}`,
      forecast: 'Forecast',
      tune: 'Tuning',
      cabinet: `Key these into the ${family.value ?? 'new control'}`,
      compare: 'Found, and set',
      like: 'The same in like units',
    })[view.value],
);
const differing = computed(() => program.value.rows.filter((row) => row.differs).length);
const summary = computed(() => {
  if (view.value === 'like') return '';
  if (view.value !== 'cabinet' && view.value !== 'compare')
    return `${program.value.chosen.length} values, ${program.value.chosen.filter((c) => c.changed).length} changed by hand`;
  return `${program.value.rows.length} in menu order, ${differing.value} differ from found`;
});
const go = (next: View) => router.push(`/jobs/${job.id}/program/${next}`);
const variants = computed(() => variantsOfJob(program.value, job.replacement.value));
const judgement = useJobJudgement();
const change = (values: SettingValues, why = 'moved on the rule') =>
  job.write(
    ...(Object.keys(values) as SettingId[]).map((setting) => ({
      kind: 'planned' as const,
      setting,
      value: values[setting]!,
      why,
    })),
  );

useJumpTargets(() =>
  program.value.rows.map((row) => ({
    id: `code:${row.code}`,
    title: row.code,
    detail: `${row.parameter.name}, ${program.value.display ? printShown(row.parameter, row.value, program.value.display) : ''}`,
    words: row.settings.join(' '),
    go: () => void router.push({ path: `/jobs/${job.id}/program/cabinet`, query: { code: row.code } }),
  })),
);
</script>

<template>
  <div v-if="!program.unit" class="px-5 py-6">
    <h2>No plan yet</h2>
    <p class="mt-1">
      The plan is computed from what the unit is.
      <RouterLink class="link" :to="`/jobs/${job.id}/survey`">Answer the open questions in Survey</RouterLink
      >.
    </p>
  </div>
  <div v-else class="flex flex-1 flex-col lg:min-h-0">
    <div class="grid flex-1 lg:min-h-0 lg:grid-cols-[minmax(0,1fr)_minmax(0,24rem)]">
      <section class="flex min-w-0 flex-col px-4 pt-4 sm:px-5 lg:min-h-0">
        <div
          class="flex flex-wrap items-center gap-x-5 gap-y-2"
          :class="{ 'max-md:hidden': view === 'cabinet' }"
        >
          <h2 class="text-[21px]">{{ heading }}</h2>
          <span class="hint">{{ summary }}</span>
          <span class="flex-1"></span>
          <SegmentedControl label="View" :options="views" :model-value="view" @update:model-value="go" />
        </div>
        <PlanView
          v-if="view === 'plan'"
          tabindex="0"
          role="region"
          aria-label="Planned values"
          class="mt-3 flex-1 pb-4 lg:min-h-0 lg:overflow-auto"
        />
        <FansView
          v-else-if="view === 'fans'"
          tabindex="0"
          role="region"
          aria-label="Fans"
          class="mt-3 flex-1 pb-4 lg:min-h-0 lg:overflow-auto"
          @take="change"
        />
        <ToolsView
          v-else-if="view === 'tools'"
          tabindex="0"
          role="region"
          aria-label="Tools"
          class="mt-3 flex-1 pb-4 lg:min-h-0 lg:overflow-auto"
          @take="change"
        />
        <ForecastView
          v-else-if="view === 'forecast'"
          tabindex="0"
          role="region"
          aria-label="Forecast"
          class="mt-3 flex-1 pb-4 lg:min-h-0 lg:overflow-auto"
          :unit="program.unit"
          :variants="variants"
        />
        <TuneView
          v-else-if="view === 'tune'"
          tabindex="0"
          role="region"
          aria-label="Tuning"
          class="mt-3 flex-1 pb-4 lg:min-h-0 lg:overflow-auto"
          :unit="program.unit"
          :values="program.inForce"
          :editable="session.mayWrite"
          @take="change"
        />
        <p v-else-if="!family" class="mt-5">
          {{ job.newPin.value ? 'Loading the definition of the new control …' : ''
          }}<template v-if="!job.newPin.value"
            >No new control is chosen.
            <RouterLink class="link" :to="`/jobs/${job.id}/survey`">Choose it in Survey</RouterLink>; its
            codes then stand here.</template
          >
        </p>
        <CabinetView v-else-if="view === 'cabinet'" class="mt-3 flex-1 lg:min-h-0" />
        <LikeUnitsView
          v-else-if="view === 'like'"
          tabindex="0"
          role="region"
          aria-label="Like units"
          class="mt-3 flex-1 pb-4 lg:min-h-0 lg:overflow-auto"
        />
        <CompareView
          v-else
          tabindex="0"
          role="region"
          aria-label="Found and set"
          class="mt-3 flex-1 pb-4 lg:min-h-0 lg:overflow-auto"
        />
      </section>
      <ProgramAside
        v-if="drawn"
        class="lg:min-h-0 lg:overflow-auto"
        :class="{ 'max-md:hidden': view === 'cabinet' }"
        :findings="judgement.findings.value"
        :judging="judgement.running.value"
        @take="(remedy, finding) => change(remedy.values, `mends: ${display.words(finding.message)}`)"
      />
    </div>
    <div
      v-if="hasDay && drawn"
      class="shrink-0 border-t border-ink bg-paper"
      :class="{ 'max-md:hidden': view === 'cabinet' }"
    >
      <TheRule
        :values="program.inForce"
        :findings="judgement.findings.value"
        :unit="program.unit"
        :editable="session.mayWrite"
        @change="change"
      />
    </div>
  </div>
</template>
