<script setup lang="ts">
import { onMounted, ref, shallowRef, watch } from 'vue';
import type { Site } from '@brine/contract/routes';
import { messageOf, request } from '../../shared/api/client.ts';
import FormProblem from '../../shared/ui/FormProblem.vue';
import { cutText } from '../../shared/ui/cutText.ts';

/** Finds a site by its name. */
const site = defineModel<string | null>({ required: true });
const LONGEST_SEARCH = 100;
const REST_MS = 200;
const search = ref('');
const sites = shallowRef<readonly Site[]>([]);
const problem = ref<string | null>(null);
let latest = 0;
let timer: ReturnType<typeof setTimeout> | undefined;

async function load() {
  const mine = (latest += 1);
  try {
    const answer = await request('places', {
      query: { search: cutText(search.value, LONGEST_SEARCH), archived: false },
    });
    if (mine !== latest) return;
    sites.value = answer.sites;
    problem.value = null;
    if (!sites.value.some(({ id }) => id === site.value)) site.value = sites.value[0]?.id ?? null;
  } catch (error) {
    if (mine === latest) problem.value = messageOf(error);
  }
}
onMounted(load);
watch(search, () => {
  clearTimeout(timer);
  timer = setTimeout(() => void load(), REST_MS);
});
</script>

<template>
  <div class="flex flex-wrap items-end gap-3">
    <label class="flex min-w-0 flex-col gap-1"
      ><span class="field-label">Find a site</span
      ><input v-model="search" type="search" class="w-44" data-test="trial-search"
    /></label>
    <label class="flex min-w-0 flex-col gap-1"
      ><span class="field-label">Site</span>
      <select v-model="site" class="max-w-72" data-test="trial-site">
        <option v-for="one in sites" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select></label
    >
    <FormProblem :message="problem" />
  </div>
</template>
