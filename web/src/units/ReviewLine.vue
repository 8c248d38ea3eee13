<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import type { Review } from '@brine/contract/routes';
import { useDisplay } from '../shared/display/displayStore.ts';

/** A unit of a review: what is said against its settings, gravest first, and what tuning says. */
const props = defineProps<{ unit: Review['units'][number]; tuned: boolean }>();
const display = useDisplay();
const notYet = computed(() => props.unit.judged?.codes?.notYet ?? 0);
const grave = computed(() => props.unit.judged?.findings.filter((f) => f.severity !== 'note') ?? []);
</script>

<template>
  <tr class="align-top">
    <td>
      <RouterLink class="link" :to="`/jobs/${unit.jobId}/program/plan`">{{ unit.unit }}</RouterLink>
      <span class="block text-[14px] text-soft"
        >{{ unit.site }}<template v-if="unit.judged?.ownBox">; judged on its own box</template></span
      >
    </td>
    <td>
      <span v-if="unit.problem" class="text-alarm">! {{ unit.problem }}</span>
      <span v-else-if="grave.length === 0 && notYet === 0">✓ nothing</span>
      <ul v-else>
        <li v-if="notYet > 0" class="py-0.5" data-test="review-not-yet">
          <strong class="font-semibold">Not keyed in. </strong>{{ notYet }} of
          {{ unit.judged!.codes!.planned }}
          {{ unit.judged!.codes!.planned === 1 ? 'code does' : 'codes do' }} not hold yet what is planned, as
          far as anybody has seen; what follows speaks of the plan.
        </li>
        <li v-for="f in grave" :key="f.code + display.words(f.message)" class="py-0.5">
          <strong class="font-semibold">{{
            f.severity === 'error' ? 'Will go wrong. ' : 'Check this. '
          }}</strong>{{ display.words(f.message) }}
          <span v-if="f.remedy" class="block text-[14px] text-soft"
            >Mended by: {{ display.words(f.remedy) }}.</span
          >
        </li>
      </ul>
    </td>
    <td v-if="tuned">{{ display.words(unit.judged?.advised?.reason ?? '') }}</td>
  </tr>
</template>
