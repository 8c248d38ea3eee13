<script setup lang="ts">
import { computed } from 'vue';
import { endWords, wireIds, type Wire } from '@brine/core/wiring/circuit';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import WireLine from './WireLine.vue';

defineProps<{ shown: readonly string[] }>();
const job = useJob();
const session = useSession();
const plan = computed(() => job.wiring.value.plan!);
const order = ['moved', 'jumper', 'new', 'kept'] as const;
const titles = {
  moved: 'Moved: one end goes elsewhere',
  jumper: 'Jumpers',
  new: 'New',
  kept: 'Stay as they are',
} as const;
const lines = computed(() => {
  const ids = wireIds(plan.value.circuit.wires);
  return plan.value.circuit.wires
    .map((wire, i) => ({ id: ids[i]!, wire }))
    .filter(({ wire }) => !wire.internal);
});
const groups = computed(() =>
  order
    .map((change) => ({
      change,
      title: titles[change],
      lines: lines.value.filter(({ wire }) => (wire.change ?? 'kept') === change),
    }))
    .filter((group) => group.lines.length > 0),
);
const found = computed(() => job.wiring.value.found!);
const removed = computed(() =>
  plan.value.removed.map((wire: Wire) => ({
    words: `${wire.label ? `${wire.label}, ` : ''}${endWords(found.value, wire.from)} to ${endWords(found.value, wire.to)}`,
    colour: wire.colour ?? '',
  })),
);
const gone = computed(() => plan.value.gone.map((p) => p.name ?? p.id).join(', '));
const done = computed(() => job.wiring.value.tasks.filter((id) => job.wiring.value.wired.has(id)).length);
const mark = (wire: string, isDone: boolean) => job.write({ kind: 'wired', wire, done: isDone });
</script>

<template>
  <div class="flex flex-col gap-5">
    <CautionNote
      >Mark and photograph every wire before it comes off. Isolate, lock out and prove dead before touching
      terminals. The local electrical code decides sizes and colours; the work is for qualified
      persons.</CautionNote
    >
    <p class="hint" data-test="wires-done">{{ done }} of {{ job.wiring.value.tasks.length }} wires done</p>
    <section v-if="removed.length > 0 || gone" aria-label="Comes out">
      <h3>Comes out</h3>
      <p v-if="gone" class="mt-1">{{ gone }}</p>
      <ul class="mt-1">
        <li
          v-for="wire in removed"
          :key="wire.words"
          class="border-b border-hairline py-1.5 text-soft line-through"
        >
          {{ wire.words }}, {{ wire.colour }}
        </li>
      </ul>
    </section>
    <section v-for="group in groups" :key="group.change" :aria-label="group.title">
      <h3>{{ group.title }}</h3>
      <ul class="mt-1 border-t border-ink">
        <WireLine
          v-for="line in group.lines"
          :id="line.id"
          :key="line.id"
          :wire="line.wire"
          :circuit="plan.circuit"
          :found="found"
          :done="job.wiring.value.wired.has(line.id)"
          :task="group.change !== 'kept'"
          :editable="session.mayWrite"
          :shown="shown.includes(line.id)"
          @mark="(isDone) => mark(line.id, isDone)"
          @choose="(colour, gauge) => job.write({ kind: 'planWire', wire: line.id, colour, gauge })"
        />
      </ul>
    </section>
    <section v-if="plan.notes.length > 0" aria-label="Notes on the plan">
      <h3>Why so</h3>
      <ul class="mt-1 list-disc pl-5">
        <li v-for="note in plan.notes" :key="note" class="py-0.5">{{ note }}</li>
      </ul>
    </section>
  </div>
</template>
