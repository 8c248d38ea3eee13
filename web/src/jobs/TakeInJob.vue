<script setup lang="ts">
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { request, messageOf } from '../shared/api/client.ts';

/** Takes in a job that comes from another installation; its entries are marked as foreign. */
const router = useRouter();
const problem = ref('');
const busy = ref(false);
async function take(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  busy.value = true;
  problem.value = '';
  try {
    const content = JSON.parse(await file.text()) as object;
    const { jobId } = await request('importJob', { body: { file: content } });
    await router.push(`/jobs/${jobId}`);
  } catch (error) {
    problem.value =
      error instanceof SyntaxError
        ? `${file.name} is not valid JSON; expected a *.brine.json`
        : `${file.name}: ${messageOf(error)}`;
  }
  busy.value = false;
}
</script>

<template>
  <span class="flex flex-wrap items-center gap-x-3">
    <label
      class="inline-flex min-h-9 pointer-coarse:min-h-11 cursor-pointer items-center text-[15px] font-medium text-brine underline underline-offset-2 focus-within:outline-2"
      >{{ busy ? 'Importing …' : 'Import'
      }}<input
        type="file"
        accept=".json,application/json"
        class="sr-only"
        data-test="take-in"
        :disabled="busy"
        @change="take"
    /></label>
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </span>
</template>
