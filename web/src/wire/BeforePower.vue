<script setup lang="ts">
import { computed, ref } from 'vue';
import type { DangerCode } from '@brine/core/wiring/energise';
import { useJob } from '../shared/job/useJob.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import StartStrip from './StartStrip.vue';
import { MINUTES_LOOKED, useBeforePower } from './useBeforePower.ts';

/** Before the breaker is closed: what is live that should not be, what runs without its safety, and what may start, from the wires that are ticked off. */
const job = useJob();
const { said, running, problem } = useBeforePower(job);
/** Stays as it was opened while another tick is looked at; its line keeps its height too, so that nothing moves from under a thumb. */
const isOpen = ref(false);
const kinds: readonly (readonly [DangerCode, string, string])[] = [
  ['shortCircuit', 'short', 'shorts'],
  ['looseEndLive', 'live loose end', 'live loose ends'],
  ['safetyMissing', 'load without its safety', 'loads without their safety'],
  ['wrongVoltage', 'wrong voltage', 'wrong voltages'],
  ['probeOnMains', 'probe on mains', 'probes on mains'],
];
const headline = computed(() => {
  if (!said.value) return '';
  const { verdict, dangers, missing } = said.value;
  if (verdict === 'unsafe') {
    const counts = kinds.flatMap(([code, one, many]) => {
      const n = dangers.filter((danger) => danger.code === code).length;
      return n > 0 ? [`${n} ${n === 1 ? one : many}`] : [];
    });
    return `✗ Leave the breaker open: ${counts.join(', ')}`;
  }
  if (verdict === 'notKnown') return '? Not known whether it may be energised';
  return missing.length > 0
    ? `✓ Nothing live that should not be, with ${missing.length} wires still to do`
    : '✓ Nothing live that should not be';
});
const colours = {
  safe: 'border-good bg-good-wash',
  unsafe: 'border-alarm bg-alarm-wash',
  notKnown: 'border-amber bg-amber-wash',
} as const;
const heats = computed(() => job.program.value.inForce['regulation.action'] === 'heat');
const supplies = computed(() => said.value?.supplies.join(' and ') ?? '');
</script>

<template>
  <FormProblem v-if="problem" :message="problem" />
  <p
    v-if="running && !said"
    class="min-h-[4.4rem] border-l-4 border-hairline bg-band px-3 py-2.5 sm:min-h-12 print:hidden"
    role="status"
    data-test="before-power-looking"
  >
    Checking whether it may be energised …
  </p>
  <details
    v-else-if="said"
    class="border-l-4 print:hidden"
    :class="colours[said.verdict]"
    :open="isOpen"
    data-test="before-power"
    @toggle="isOpen = ($event.target as HTMLDetailsElement).open"
  >
    <summary
      class="min-h-[4.4rem] cursor-pointer px-3 py-2.5 sm:min-h-12"
      :data-verdict="said.verdict"
      data-test="before-power-verdict"
    >
      <strong class="font-semibold">{{ headline }}.</strong> What may start
    </summary>
    <div class="flex flex-col gap-3 bg-paper px-3 py-3">
      <CautionNote
        >This is told from the plan and the ticks, not from the cabinet. Isolate, lock out and prove dead
        before covers come off; units start by themselves. Local codes and licensed practice come
        first.</CautionNote
      >
      <ul v-if="said.dangers.length > 0" class="flex flex-col gap-1.5" data-test="dangers">
        <li
          v-for="danger in said.dangers"
          :key="danger.code + danger.at"
          class="border-l-4 border-alarm py-1 pl-3"
          :data-danger="danger.code"
        >
          {{ danger.message }}
        </li>
      </ul>
      <ul v-if="said.unknown.length > 0" class="list-disc pl-5">
        <li v-for="words in said.unknown" :key="words">{{ words }}</li>
      </ul>
      <p v-if="supplies">
        Wires to {{ supplies }} are not done: their free ends must be off {{ supplies }}, or capped.
      </p>
      <section v-if="said.starts.length > 0" aria-labelledby="may-start">
        <h3 id="may-start" class="font-semibold">What may start, and when at the earliest</h3>
        <StartStrip :starts="said.starts" :minutes="MINUTES_LOOKED" :heats="heats" />
      </section>
      <section v-if="said.protects.length > 0" aria-labelledby="protects">
        <h3 id="protects" class="font-semibold">What protects it as wired now</h3>
        <table class="table-plain max-w-3xl">
          <thead>
            <tr>
              <th>Load</th>
              <th>Fuses</th>
              <th>Safeties</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in said.protects" :key="one.load">
              <td>{{ one.load }}</td>
              <td>{{ one.fuses.join(', ') || 'none' }}</td>
              <td>{{ one.safeties.join(', ') || 'none' }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </div>
  </details>
</template>
