<script setup lang="ts">
import { computed } from 'vue';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import DoubtList from './DoubtList.vue';
import FoundParts from './FoundParts.vue';
import FoundWires from './FoundWires.vue';
import OldDevice from './OldDevice.vue';
import PictureList from './PictureList.vue';
import StartChoice from './StartChoice.vue';
import WiringFindings from './WiringFindings.vue';
import { findingsOf } from '@brine/core/wiring/findings';

const job = useJob();
const session = useSession();
const wiring = computed(() => job.wiring.value);
const findings = computed(() => (wiring.value.found ? findingsOf(wiring.value.found) : []));
</script>

<template>
  <div class="flex flex-col gap-6">
    <CautionNote
      >Trace before anything is cut: mark and photograph each wire. Isolate, lock out and prove dead before
      covers come off. Colours say nothing certain; the meter does. The local electrical code and qualified
      persons come first.</CautionNote
    >
    <template v-if="wiring.started === null">
      <StartChoice />
      <PictureList :editable="session.mayWrite" />
    </template>
    <template v-else>
      <p v-if="wiring.problem" class="border-l-4 border-alarm bg-alarm-wash px-3 py-2" role="alert">
        <strong class="font-semibold">Cannot be drawn yet. </strong>{{ wiring.problem.field }}:
        {{ wiring.problem.message }}.
      </p>
      <p
        v-if="wiring.supplyQuestion"
        class="border-l-4 border-amber bg-amber-wash px-3 py-2"
        data-test="supply-question"
      >
        <strong class="font-semibold">Two answers. </strong>{{ wiring.supplyQuestion }}
      </p>
      <div class="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)]">
        <FoundWires :editable="session.mayWrite" />
        <div class="flex flex-col gap-6">
          <OldDevice />
          <DoubtList :editable="session.mayWrite" />
          <PictureList :editable="session.mayWrite" />
          <FoundParts :editable="session.mayWrite" />
          <section v-if="findings.length > 0" aria-label="What is wrong as found">
            <h3 class="mb-1">What is wrong as found</h3>
            <WiringFindings :findings="findings" />
          </section>
          <StartChoice folded />
        </div>
      </div>
    </template>
  </div>
</template>
