<script setup lang="ts">
import { computed, proxyRefs } from 'vue';
import { RouterLink } from 'vue-router';
import type { Unit } from '@brine/contract/routes';
import { applicationNames } from '@brine/core/foundation/settings';
import { goodsOf } from '@brine/core/foundation/unit';
import { stillOpen } from '../../shared/bus/useBusWriting.ts';
import { useJob } from '../../shared/job/useJob.ts';
import WriteSteps from '../bus/WriteSteps.vue';
import { useLikeUnit } from './useLikeUnit.ts';
import type { LikeUnits } from './useLikeUnits.ts';

/** One unit of the site that may get this program: read, shown, confirmed there, written. */
const props = defineProps<{ unit: Unit; like: LikeUnits }>();
const job = useJob();
const one = proxyRefs(useLikeUnit(() => props.unit, props.like));
const { steps } = one;
/** What this unit is, in words. */
const kind = computed(() => {
  const { unit } = job.program.value;
  return unit && [applicationNames[unit.application], goodsOf(unit).name].join(', ').toLowerCase();
});
const state = computed(() => {
  if (one.isSettled) return '✓ stands so, settled in its job';
  if (steps.written.value) {
    const open = stillOpen(steps.written.value);
    return open === 0 ? '✓ written' : `! written, ${open} ${open === 1 ? 'stays' : 'stay'} open`;
  }
  if (one.on.isBusy.value) return 'under way';
  if (!steps.plan.value) return 'not read';
  const n = steps.plan.value.writes.length;
  return n === 0 ? '✓ stands as planned here' : `${n} ${n === 1 ? 'value differs' : 'values differ'}`;
});
</script>

<template>
  <li class="border-b border-hairline" data-test="like-unit">
    <button
      type="button"
      class="flex min-h-11 w-full flex-wrap items-baseline gap-x-4 py-2 text-left"
      :aria-expanded="one.isOpen"
      @click="one.isOpen = !one.isOpen"
    >
      <span class="w-4 shrink-0 text-brine" aria-hidden="true">{{ one.isOpen ? '▾' : '▸' }}</span>
      <strong class="min-w-32 flex-1 font-semibold">{{
        [unit.tag, unit.name].filter(Boolean).join(' ')
      }}</strong>
      <span class="text-soft" data-test="like-state">{{ state }}</span>
    </button>
    <div v-if="one.isOpen" class="flex max-w-3xl flex-col gap-3 pb-4 pl-8 max-sm:pl-0">
      <p v-if="one.unlike" class="border-l-4 border-amber bg-amber-wash px-3 py-2" data-test="like-unlike">
        ? Its open job {{ one.unlike }}. If that is wrong,
        <RouterLink class="link" :to="`/jobs/${one.into!.id}/survey`">put it right there</RouterLink> first.
      </p>
      <template v-else-if="one.into !== undefined">
        <p class="hint">
          <template v-if="one.into"
            >It goes into
            <RouterLink class="link" :to="`/jobs/${one.into.id}`" data-test="like-job"
              >its open job</RouterLink
            >.</template
          >
          <template v-else>It has no open job: one is opened for it as soon as it is written.</template>
          <RouterLink
            class="link inline-flex sm:ml-3 items-center pointer-coarse:min-h-11"
            :to="{ path: `/units/${job.job.value!.unit.id}/beside`, query: { with: unit.id } }"
            >Side by side with this one</RouterLink
          >
        </p>
        <label v-if="one.saysNothing && kind" class="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11"
          ><input v-model="one.sameKind" type="checkbox" data-test="like-kind" />It is what this one is:
          {{ kind }}</label
        >
        <p v-if="one.saysNothing && !one.sameKind" class="hint">
          Then it gets a program of its own, planned in a job of its own.
        </p>
        <WriteSteps
          :steps="steps"
          :stood="one.isSettled ? 0 : (steps.plan.value?.stood.length ?? 0)"
          :blocked="one.blocked"
          @stands="one.settle"
          @write="one.write"
        >
          <template #why>
            <p v-if="one.taken" class="problem" data-test="like-taken">
              This device was read as {{ one.taken }}. Choose the one that this unit has.
            </p>
          </template>
        </WriteSteps>
      </template>
    </div>
  </li>
</template>
