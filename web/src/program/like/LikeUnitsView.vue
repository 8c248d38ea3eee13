<script setup lang="ts">
import { computed } from 'vue';
import { ownWords } from '@brine/core/controllers/beside';
import { parameterOf } from '@brine/core/controllers/definitions';
import { useJob } from '../../shared/job/useJob.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import LikeUnit from './LikeUnit.vue';
import { useLikeUnits } from './useLikeUnits.ts';

/** This program in other units of the site that have the same controller, over their bus, one after the other. */
const job = useJob();
const like = useLikeUnits();
const { units, problem, also, copy, undecided } = like;
const left = computed(() =>
  copy.value.left.map((one) => ({
    ...one,
    name: parameterOf(job.replacement.value!, one.code)?.name ?? '',
  })),
);
</script>

<template>
  <div class="flex max-w-4xl flex-col gap-5" data-test="like-units">
    <p class="max-w-3xl">
      {{ copy.copied.size }} values of this program go into other units here that have a
      {{ job.replacement.value!.family }} as well. Each unit is read first and written by itself, after
      somebody who stands there said so; it keeps a job of its own.
    </p>
    <p v-if="undecided.length > 0" class="hint">
      Not decided yet, and copied nowhere: {{ undecided.join(', ') }}.
    </p>
    <section v-if="left.length > 0" aria-label="Left as they stand" data-test="like-left">
      <h3>Left as they stand in each unit</h3>
      <ul class="mt-1">
        <li
          v-for="one in left"
          :key="one.code"
          class="flex min-h-9 flex-wrap items-center gap-x-3 border-b border-hairline"
        >
          <code class="w-14 font-mono font-semibold">{{ one.code }}</code>
          <span class="min-w-40 flex-1">{{ one.name }}</span>
          <span class="text-soft"
            >{{ ownWords[one.why] }}{{ one.why === 'address' ? '; never copied' : '' }}</span
          >
          <label v-if="one.mayCopy" class="flex items-center gap-2 pointer-coarse:min-h-11"
            ><input v-model="also" type="checkbox" :value="one.code" />copy it all the same</label
          >
        </li>
      </ul>
    </section>
    <section aria-label="Units of this site">
      <h3>Units of {{ job.job.value?.unit.siteName }}</h3>
      <FormProblem :message="problem" />
      <p v-if="units?.length === 0" class="mt-1 text-soft">No other unit stands on this site.</p>
      <ul v-else-if="units" class="mt-1 border-t border-ink">
        <LikeUnit v-for="unit in units" :key="unit.id" :unit="unit" :like="like" />
      </ul>
    </section>
  </div>
</template>
