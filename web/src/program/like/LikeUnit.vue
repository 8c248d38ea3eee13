<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { Unit } from '@brine/contract/routes';
import { applicationNames } from '@brine/core/foundation/settings';
import { goodsOf } from '@brine/core/foundation/unit';
import LineChoice from '../../shared/bus/LineChoice.vue';
import { useJob } from '../../shared/job/useJob.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import WritePlan from '../bus/WritePlan.vue';
import WrittenList from '../bus/WrittenList.vue';
import { useLikeUnit } from './useLikeUnit.ts';
import type { LikeUnits } from './useLikeUnits.ts';

/** One unit of the site that may get this program: read, shown, confirmed there, written. */
const props = defineProps<{ unit: Unit; like: LikeUnits }>();
const job = useJob();
const {
  on,
  into,
  saysNothing,
  sameKind,
  unlike,
  taken,
  standing,
  unread,
  written,
  plan,
  isOpen,
  look,
  settle,
  write,
} = useLikeUnit(() => props.unit, props.like);
/** What this unit is, in words. */
const kind = computed(() => {
  const { unit } = job.program.value;
  return unit && [applicationNames[unit.application], goodsOf(unit).name].join(', ').toLowerCase();
});
const state = computed(() => {
  if (written.value?.written.length === 0) return '✓ stands so, settled in its job';
  if (written.value) {
    const open = written.value.written.filter(({ is }) => is !== 'written').length;
    return open === 0 ? '✓ written' : `! written, ${open} ${open === 1 ? 'stays' : 'stay'} open`;
  }
  if (on.isBusy.value) return 'under way';
  if (!plan.value) return 'not read';
  const n = plan.value.writes.length;
  return n === 0 ? '✓ stands as planned here' : `${n} ${n === 1 ? 'value differs' : 'values differ'}`;
});
</script>

<template>
  <li class="border-b border-hairline" data-test="like-unit">
    <button
      type="button"
      class="flex min-h-11 w-full flex-wrap items-baseline gap-x-4 py-2 text-left"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    >
      <span class="w-4 shrink-0 text-brine" aria-hidden="true">{{ isOpen ? '▾' : '▸' }}</span>
      <strong class="min-w-32 flex-1 font-semibold">{{
        [unit.tag, unit.name].filter(Boolean).join(' ')
      }}</strong>
      <span class="text-soft" data-test="like-state">{{ state }}</span>
    </button>
    <div v-if="isOpen" class="flex max-w-3xl flex-col gap-3 pb-4 pl-8 max-sm:pl-0">
      <p v-if="unlike" class="border-l-4 border-amber bg-amber-wash px-3 py-2" data-test="like-unlike">
        ? Its open job {{ unlike }}. If that is wrong,
        <RouterLink class="link" :to="`/jobs/${into!.id}/survey`">put it right there</RouterLink> first.
      </p>
      <template v-else-if="into !== undefined">
        <p class="hint">
          <template v-if="into"
            >It goes into
            <RouterLink class="link" :to="`/jobs/${into.id}`" data-test="like-job">its open job</RouterLink
            >.</template
          >
          <template v-else>It has no open job: one is opened for it as soon as it is written.</template>
          <RouterLink
            class="link inline-flex sm:ml-3 items-center pointer-coarse:min-h-11"
            :to="{ path: `/units/${job.job.value!.unit.id}/beside`, query: { with: unit.id } }"
            >Side by side with this one</RouterLink
          >
        </p>
        <label v-if="saysNothing && kind" class="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11"
          ><input v-model="sameKind" type="checkbox" data-test="like-kind" />It is what this one is:
          {{ kind }}</label
        >
        <p v-if="saysNothing && !sameKind" class="hint">
          Then it gets a program of its own, planned in a job of its own.
        </p>
        <LineChoice :on="on">
          <AppButton
            :kind="standing ? 'quiet' : 'primary'"
            :disabled="on.isBusy.value || taken !== null || (saysNothing && !sameKind)"
            data-test="like-look"
            @click="look"
            >{{ standing ? 'Read again' : 'Read what stands there' }}</AppButton
          >
        </LineChoice>
        <p v-if="taken" class="problem" data-test="like-taken">
          This device was read as {{ taken }}. Choose the one that this unit has.
        </p>
        <WrittenList
          v-if="written && written.written.length > 0"
          :control="job.replacement.value!"
          :told="like.told.value!"
          :written="written.written"
        />
        <WritePlan
          v-else-if="!written && plan && standing && like.told.value && !taken && (sameKind || !saysNothing)"
          :control="job.replacement.value!"
          :plan="plan"
          :standing="standing"
          :told="like.told.value"
          :unread="unread"
          :busy="on.isBusy.value"
          :stood="plan.stood.length"
          @stands="settle"
          @write="write"
        />
      </template>
    </div>
  </li>
</template>
