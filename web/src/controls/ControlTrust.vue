<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink, useRouter } from 'vue-router';
import {
  corrected,
  proposedCorrection,
  type ControllerDefinition,
} from '@brine/core/controllers/definitions';
import { notStated } from '@brine/core/controllers/builtIn';
import { messageOf, request } from '../shared/api/client.ts';
import { nextVersionOf, useControllers } from '../shared/job/useControllers.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import { correctedWriting } from '../writing/correctedWriting.ts';
import { writingOf } from '../writing/useWriting.ts';
import type { KnownUses } from './useUses.ts';

/** How far a definition may be trusted: who added it, what was confirmed on units, what nobody stated, and what a display contradicted. */
const props = defineProps<{ definition: ControllerDefinition; known: KnownUses | null }>();
const session = useSession();
const router = useRouter();
const { reload } = useControllers();
const problem = ref<string | null>(null);
const busy = ref(false);
const codes = computed(() =>
  props.definition.parameters.filter(({ encoding }) => encoding.type !== 'reading'),
);
const proven = computed(
  () => codes.value.filter(({ code }) => props.known?.proven.some((one) => one.code === code)).length,
);
const open = computed(() => notStated(props.definition));
const proposals = computed(() =>
  (props.known?.shownOtherwise ?? []).flatMap((seen) => {
    const parameter = codes.value.find(({ code }) => code === seen.code);
    return parameter && seen.shown !== ''
      ? [{ ...seen, parameter, correction: proposedCorrection(parameter, seen.value, seen.shown) }]
      : [];
  }),
);
const nextVersion = computed(() => nextVersionOf(props.definition.id));
/** Takes a proposal over as a version of its own: jobs stay on the one they have until somebody moves them. */
async function accept(proposal: (typeof proposals.value)[number]) {
  busy.value = true;
  problem.value = null;
  try {
    const from = writingOf(props.definition);
    const definition = {
      ...corrected(props.definition, proposal.correction, nextVersion.value),
      // A version begun from this one in the writer goes on from what was corrected.
      ...(from && { writing: correctedWriting(from, proposal.parameter, proposal.correction) }),
    };
    const { controller } = await request('addController', { body: { definition } });
    await reload();
    await router.push(`/controls/${controller.hash}`);
  } catch (error) {
    problem.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section v-if="known" aria-label="How far it is proven" data-test="trust">
    <h3>How far it is proven</h3>
    <p class="text-soft">
      <template v-if="known.addedBy"
        >Added by {{ known.addedBy }}, {{ known.addedAt.slice(0, 10) }}. </template
      >Version {{ definition.version ?? '1' }}.
    </p>
    <p class="mt-1" data-test="proven">
      {{ proven }} of {{ codes.length }} codes confirmed on the display of a unit
      <span class="text-soft"
        >({{ codes.length === 0 ? 0 : Math.round((100 * proven) / codes.length) }} %)</span
      >
    </p>
    <p v-if="open.length > 0" class="mt-1">Not stated: {{ open.join(', ') }}.</p>
    <ul v-if="proposals.length > 0" class="mt-2">
      <li
        v-for="one in proposals"
        :key="one.job + one.code"
        class="mb-2 border-l-4 border-amber bg-amber-wash px-3 py-2"
        data-test="proposal"
      >
        <p>
          <span class="font-mono font-semibold">{{ one.code }}</span> showed
          <span class="font-mono">{{ one.shown }}</span> where
          <span class="font-mono">{{ one.value }}</span> was keyed:
          <RouterLink class="link" :to="`/jobs/${one.job}`">{{ one.unit }}</RouterLink>.
        </p>
        <p class="mt-1 flex flex-wrap items-center gap-3">
          Proposed: {{ one.correction.words }}.
          <AppButton v-if="session.mayWrite" :disabled="busy" data-test="accept-proposal" @click="accept(one)"
            >Take it over as version {{ nextVersion }}</AppButton
          >
        </p>
      </li>
    </ul>
    <FormProblem class="mt-2" :message="problem" />
  </section>
</template>
