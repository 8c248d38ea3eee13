<script setup lang="ts">
import { computed, ref } from 'vue';
import { wireIds } from '@brine/core/wiring/circuit';
import { useJob } from '../shared/job/useJob.ts';
import { usePictures } from '../shared/pictures/usePictures.ts';
import MarkedPicture from './MarkedPicture.vue';

/** The pictures as found beside the new drawing: marks of the wires that are picked there light up. */
const props = defineProps<{ shown: readonly string[] }>();
const job = useJob();
const pictures = usePictures(job.id);
const all = computed(() => job.wiring.value.pictures);
const at = ref(0);
const picture = computed(() => all.value[Math.min(at.value, all.value.length - 1)] ?? null);
const wires = computed(() =>
  job.wiring.value.wires.map(({ id, what }) => ({
    id,
    words: [what.label, what.colour].filter(Boolean).join(' ') || id,
  })),
);
/** Wires of the plan, by the id they had as found. */
const asFound = computed(() => {
  const plan = job.wiring.value.plan;
  if (!plan) return [];
  const ids = wireIds(plan.circuit.wires);
  return plan.circuit.wires.flatMap((wire, i) => {
    if (!props.shown.includes(ids[i]!)) return [];
    const was = wire.was ?? { from: wire.from, to: wire.to };
    return job.wiring.value.wires
      .filter(({ what }) => what.from === was.from && what.to === was.to)
      .map(({ id }) => id);
  });
});
</script>

<template>
  <section v-if="picture" aria-label="As found, in pictures" class="print:hidden" data-test="beside">
    <div class="flex items-center gap-2">
      <h3 class="flex-1">As found</h3>
      <label v-if="all.length > 1"
        ><span class="sr-only">Picture</span>
        <select v-model.number="at">
          <option v-for="(one, i) in all" :key="one.id" :value="i">
            {{ one.caption || `Picture ${i + 1}` }}
          </option>
        </select></label
      >
    </div>
    <ul class="mt-1">
      <MarkedPicture
        :key="picture.id"
        :picture="picture"
        :wires="wires"
        :editable="false"
        :source="pictures.source"
        :shown="asFound"
      />
    </ul>
  </section>
</template>
