<script setup lang="ts">
import { computed, reactive } from 'vue';
import { endsOf, type Wire } from '@brine/core/wiring/circuit';
import { useJob } from '../shared/job/useJob.ts';
import { newId } from '../shared/outbox/identity.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FoundWireRow from './FoundWireRow.vue';
import WireFields from './WireFields.vue';
import { endChoices } from './terminalWords.ts';

defineProps<{ editable: boolean }>();
const job = useJob();
const wires = computed(() => job.wiring.value.wires.filter(({ what }) => !what.internal));
const loose = computed(() => ({
  supplies: job.wiring.value.supplies.map((s) => s.what),
  parts: job.wiring.value.parts.map((p) => p.what),
}));
const ends = computed(() => {
  const circuit = job.wiring.value.found;
  const all = endsOf(loose.value);
  return circuit ? endChoices(circuit, all) : all.map((id) => ({ id, words: id }));
});
const write = (id: string, wire: Wire | null) => job.write({ kind: 'foundWire', id, wire });
/** “May also end on”: two circuits that may be, until the meter has told them apart. */
function doubt({ from, to }: Wire, other: string) {
  const fact = { kind: 'endsOn' as const, wire: `${from}-${to}`, end: 'to' as const, among: [to, other] };
  if (other !== '' && other !== to) void job.write({ kind: 'doubt', id: newId(), fact });
}
const fresh = reactive({ from: '', to: '', colour: '', label: '', purpose: '' });
const ready = computed(() => fresh.from !== '' && fresh.to !== '' && fresh.from !== fresh.to);
async function add() {
  if (!ready.value) return;
  const { from, to, colour, label, purpose } = fresh;
  await write(newId(), {
    from,
    to,
    ...(colour ? { colour } : {}),
    ...(label ? { label } : {}),
    ...(purpose ? { purpose } : {}),
  });
  // The next wire often begins where this one did.
  Object.assign(fresh, { to: '', colour: '', label: '', purpose: '' });
}
</script>

<template>
  <section aria-label="Wires as found">
    <h3>{{ wires.length }} wires traced</h3>
    <ul class="mt-1 border-t border-ink">
      <FoundWireRow
        v-for="wire in wires"
        :key="wire.id"
        :wire="wire.what"
        :ends="ends"
        :editable="editable"
        @change="(changed) => write(wire.id, changed)"
        @remove="write(wire.id, null)"
        @unsure="(other) => doubt(wire.what, other)"
      />
    </ul>
    <form v-if="editable" class="mt-3" aria-label="Add a wire" data-test="add-wire" @submit.prevent="add">
      <WireFields v-model="fresh" :ends="ends" />
      <AppButton type="submit" kind="primary" class="mt-2" :disabled="!ready">Add this wire</AppButton>
    </form>
  </section>
</template>
