<script setup lang="ts">
import { computed } from 'vue';
import { DEAD, wiresAtPlace } from '@brine/core/wiring/readings';
import { faultWords } from '@brine/core/wiring/faults';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import FaultBox from './FaultBox.vue';
import MeterRow from './MeterRow.vue';
import PowerSteps from './PowerSteps.vue';
import { stateWords } from './terminalWords.ts';
import { useMeter } from './useMeter.ts';

defineEmits<{ show: [wires: readonly string[]] }>();
const state = defineModel<string>('state', { required: true });
const job = useJob();
const session = useSession();
const circuit = computed(() => job.wiring.value.plan?.circuit ?? null);
const meter = useMeter(circuit);
const power = computed(() => job.wiring.value.power);
const mine = computed(() => meter.lines.value.filter((line) => line.place.state === state.value));
const tabs = computed(() =>
  meter.states.value.map((id) => {
    const { read, of, off } = meter.count(id);
    return { id, name: stateWords(id), count: of > 0 ? `${read} of ${of}` : '', off };
  }),
);
/** Ohms only while locked out, volts and amps only once live again. */
const open = computed(() =>
  state.value === DEAD ? power.value.now === 'lockedOut' : power.value.now === 'live',
);
const why = computed(() => {
  if (open.value) return '';
  return state.value === DEAD
    ? 'Ohms are read while locked out and proven dead: press that first.'
    : 'Volts and amps are read once the unit is energised again: press that first.';
});
/** Faults that no reading can show, in words. */
const unseen = computed(() =>
  circuit.value && !meter.proving.value
    ? (meter.proof.value?.unseen ?? []).map((fault) => faultWords(circuit.value!, fault))
    : [],
);
</script>

<template>
  <div class="flex flex-col gap-4">
    <h2>What the meter must read</h2>
    <PowerSteps />
    <div
      role="tablist"
      aria-label="State"
      class="flex shrink-0 overflow-hidden rounded-md border border-edge"
    >
      <button
        v-for="tab in tabs"
        :key="tab.id"
        type="button"
        role="tab"
        :aria-selected="tab.id === state"
        class="min-h-11 flex-1 px-2 py-1 text-[14px] font-medium leading-tight"
        :class="tab.id === state ? 'bg-brine text-on-brine' : 'hover:bg-band'"
        :data-state="tab.id"
        @click="state = tab.id"
      >
        {{ tab.name }}<span class="block text-[12px] font-normal">{{ tab.off ? '✗ off' : tab.count }}</span>
      </button>
    </div>
    <p v-if="meter.proving.value" class="hint" role="status">
      Working out the fewest readings that prove the wiring …
    </p>
    <p v-else-if="meter.problem.value" class="problem" role="alert">{{ meter.problem.value }}</p>
    <p v-if="why" class="hint" data-test="meter-closed">{{ why }}</p>
    <table v-if="mine.length > 0" class="table-plain" data-test="meter-table">
      <thead>
        <tr>
          <th>Probe at</th>
          <th class="!text-right">Expect</th>
          <th class="!text-right">Read</th>
          <th class="w-14"></th>
        </tr>
      </thead>
      <tbody>
        <MeterRow
          v-for="line in mine"
          :key="line.key"
          :line="line"
          :open="open && session.mayWrite"
          @read="(value) => meter.read(line, value)"
          @show="$emit('show', wiresAtPlace(circuit!, line.place))"
        />
      </tbody>
    </table>
    <p v-else-if="!meter.proving.value" class="hint">
      Nothing to read in this state: the other readings already prove what it would show.
    </p>
    <p v-if="unseen.length > 0" class="hint">
      No reading here can show this: {{ unseen.slice(0, 3).join(' ') }}
    </p>
    <FaultBox
      v-if="circuit"
      :meter="meter"
      :circuit="circuit"
      @state="(s) => (state = s)"
      @show="(w) => $emit('show', w)"
    />
    <CautionNote v-if="state === DEAD"
      >Isolate, lock out, prove dead, and prove the meter on a known source before and after. Run capacitors
      hold charge. The local electrical code and the procedure of the site come first.</CautionNote
    >
    <CautionNote v-else
      >Live readings are for persons qualified for them, with a rated meter and leads, one hand, nobody else
      on the unit. It starts by itself. Cabinet or earth is never a neutral. The local electrical code comes
      first.</CautionNote
    >
  </div>
</template>
