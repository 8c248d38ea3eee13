<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { probeRoleNames } from '@brine/core/foundation/unit';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import PlateLoads from './PlateLoads.vue';
import { outputWords } from '../shared/circuit/outputWords.ts';

const job = useJob();
const session = useSession();
const needs = computed(() => job.wiring.value.needs!);
const traced = computed(() => job.wiring.value.found !== null && job.wiring.value.started !== null);
const lines = computed(() => [
  ...needs.value.outputs.map((o) => ({
    what: `${outputWords(o.output)} relay`,
    how: o.demand
      ? [
          `${o.demand.amps.toFixed(o.demand.amps < 1 ? 2 : 1)} A`,
          o.demand.motor ? 'motor' : 'no motor',
          o.demand.lockedRotorAmps ? `${o.demand.lockedRotorAmps.toFixed(0)} A at the start` : '',
          o.threePhase ? 'three phases' : '',
        ]
          .filter(Boolean)
          .join(', ')
      : 'amps not known',
  })),
  {
    what: 'Supply',
    how:
      needs.value.volts.length > 0
        ? `${needs.value.volts.join(' or ')} V ${needs.value.dc ? 'DC' : 'AC'}`
        : 'not known',
  },
  { what: 'Probes', how: needs.value.probes.map((p) => probeRoleNames[p].toLowerCase()).join(', ') },
  ...(needs.value.door ? [{ what: 'Door input', how: 'a door contact is there' }] : []),
]);
</script>

<template>
  <section aria-label="What the control must do">
    <h2 class="text-[21px]">What the control must do</h2>
    <p class="hint mt-1">
      {{ traced ? 'From the circuit as traced.' : 'From the survey and the plate.' }}
      <RouterLink v-if="!traced" class="link" :to="`/jobs/${job.id}/wire/found`">Trace the wires</RouterLink
      ><template v-if="!traced"> to have it exact.</template>
    </p>
    <dl class="mt-2 grid border-t border-ink sm:grid-cols-2 sm:gap-x-8">
      <div
        v-for="line in lines"
        :key="line.what"
        class="flex justify-between gap-4 border-b border-hairline py-1.5"
      >
        <dt>{{ line.what }}</dt>
        <dd class="text-right font-mono text-[14px]">{{ line.how }}</dd>
      </div>
    </dl>
    <PlateLoads v-if="!traced" class="mt-3" :editable="session.mayWrite" />
  </section>
</template>
