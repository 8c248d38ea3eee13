<script setup lang="ts">
import { computed, ref } from 'vue';
import { useJob } from '../shared/job/useJob.ts';
import { newId } from '../shared/outbox/identity.ts';
import { usePictures } from '../shared/pictures/usePictures.ts';
import MarkedPicture from './MarkedPicture.vue';

defineProps<{ editable: boolean }>();
const job = useJob();
const shown = computed(() => job.wiring.value.pictures);
const wires = computed(() =>
  job.wiring.value.wires
    .filter(({ what }) => !what.internal)
    .map(({ id, what }) => ({ id, words: [what.label, what.colour].filter(Boolean).join(' ') || id })),
);
const pictures = usePictures(job.id);
const busy = ref(false);
const problem = ref('');
async function take(event: Event) {
  const input = event.target as HTMLInputElement;
  const files = [...(input.files ?? [])];
  busy.value = true;
  problem.value = '';
  try {
    for (const file of files) {
      const id = newId();
      const { width, height } = await pictures.take(id, file);
      await job.write({ kind: 'picture', id, caption: '', width, height, points: [] });
    }
  } catch (error) {
    problem.value = (error as Error).message;
  }
  busy.value = false;
  input.value = '';
}
</script>

<template>
  <section aria-label="Pictures" data-test="pictures">
    <h3>Pictures</h3>
    <p class="hint mt-1">
      Made small on this device, without place and camera. Tap a picture to mark a wire on it.
    </p>
    <label
      v-if="editable"
      class="mt-2 inline-flex min-h-11 cursor-pointer items-center rounded-md border border-brine px-4 text-[15px] font-medium text-brine focus-within:outline-2"
    >
      {{ busy ? 'Making it smaller …' : 'Take or choose a picture' }}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        class="sr-only"
        data-test="take-picture"
        :disabled="busy"
        @change="take"
      />
    </label>
    <p v-if="problem || pictures.problem.value" class="problem mt-1" role="alert">
      {{ problem || pictures.problem.value }}
    </p>
    <p v-if="pictures.waiting.value > 0" class="hint mt-1">
      {{ pictures.waiting.value }} {{ pictures.waiting.value === 1 ? 'picture waits' : 'pictures wait' }} on
      this device for the server.
    </p>
    <ul class="mt-3 flex flex-col gap-4">
      <MarkedPicture
        v-for="picture in shown"
        :key="picture.id"
        :picture="picture"
        :wires="wires"
        :editable="editable"
        :source="pictures.source"
        @change="(changed) => job.write(changed)"
      />
    </ul>
  </section>
</template>
