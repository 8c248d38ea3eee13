<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { applicationNames } from '@brine/core/foundation/settings';
import { UNITS_FOR_A_KIND } from '@brine/core/judgement/learning';
import type { KindOffer } from '@brine/contract/routes';
import { request, messageOf } from '../shared/api/client.ts';
import { localDate } from '../shared/display/localTime.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import { kindWords } from './kindWords.ts';

/** Kinds of which units were learned from their logs, and what those have in common: offered to the lead, for the units that are learned next. */
const session = useSession();
const kinds = ref<readonly KindOffer[]>([]);
const problem = ref<string | null>(null);
const busy = ref(false);
onMounted(async () => {
  if (!session.isLead) return;
  kinds.value = (await request('kinds').catch(() => null))?.kinds ?? [];
});

async function use(application: string, wanted: boolean) {
  busy.value = true;
  problem.value = null;
  try {
    kinds.value = (await request('useKind', { body: { application, use: wanted } })).kinds;
    await session.loadCompany();
  } catch (error) {
    problem.value = messageOf(error);
  } finally {
    busy.value = false;
  }
}
const nameOf = (application: string) =>
  (applicationNames as Readonly<Record<string, string>>)[application] ?? application;
const units = (count: number) => `${count} ${count === 1 ? 'unit' : 'units'} learned`;
</script>

<template>
  <section v-if="kinds.length > 0" class="mt-6 max-w-4xl" aria-labelledby="kinds" data-test="kind-boxes">
    <h2 id="kinds" class="text-[16px]">What your learned units have in common</h2>
    <p class="hint">
      From {{ UNITS_FOR_A_KIND }} learned units of a kind on. A short log of the next one then says more,
      since less of it has to be told from the log alone.
    </p>
    <FormProblem :message="problem" />
    <ul class="mt-2 flex flex-col divide-y divide-hairline">
      <li
        v-for="kind in kinds"
        :key="kind.application"
        class="flex flex-wrap items-start gap-x-6 gap-y-2 py-3"
        :data-test="`kind-${kind.application}`"
      >
        <div class="min-w-56 flex-1">
          <p>
            <strong class="font-semibold">{{ nameOf(kind.application) }}</strong>, {{ units(kind.units) }}
          </p>
          <ul v-if="kind.priors" class="mt-1 list-disc pl-5">
            <li v-for="words in kindWords(kind.priors)" :key="words">{{ words }}</li>
          </ul>
          <p v-else class="text-soft">
            {{
              kind.units < UNITS_FOR_A_KIND
                ? `${UNITS_FOR_A_KIND - kind.units} more, and they speak for the kind.`
                : 'Their logs do not tell the same things yet.'
            }}
          </p>
          <p v-if="kind.used" class="mt-1">
            ✓ Used since {{ localDate(kind.used.at) }}, from {{ kind.used.units }} units.
          </p>
        </div>
        <div class="flex flex-wrap gap-2">
          <AppButton
            v-if="kind.priors"
            :disabled="busy"
            :data-test="`use-kind-${kind.application}`"
            @click="use(kind.application, true)"
            >{{ kind.used ? 'Take it anew' : 'Use it for the next ones' }}</AppButton
          >
          <AppButton
            v-if="kind.used"
            kind="quiet"
            :disabled="busy"
            :data-test="`drop-kind-${kind.application}`"
            @click="use(kind.application, false)"
            >Back to the usual</AppButton
          >
        </div>
      </li>
    </ul>
  </section>
</template>
