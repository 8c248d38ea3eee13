<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { Site } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';

/** Asks for the sheets of a site, or of all, as one file. */
const emit = defineEmits<{ made: [] }>();
const route = useRoute();
const sites = shallowRef<readonly Site[]>([]);
const site = ref(typeof route.query['site'] === 'string' ? route.query['site'] : '');
const paper = ref<'A4' | 'LETTER'>('A4');
const type = ref<'small' | 'large'>('small');
const problem = ref<string | null>(null);

onMounted(async () => {
  // Without the list there is still every site.
  sites.value = (await request('sites').catch(() => null))?.sites ?? [];
});
async function make() {
  try {
    await request('startSheets', {
      body: { site: site.value || null, paper: paper.value, type: type.value },
    });
    problem.value = null;
    emit('made');
  } catch (error) {
    problem.value = messageOf(error);
  }
}
</script>

<template>
  <form class="flex flex-wrap items-center gap-2" novalidate @submit.prevent="make">
    <label class="flex flex-wrap items-center gap-2"
      >Sheets of
      <select v-model="site" class="max-w-full" data-test="sheets-site">
        <option value="">every site</option>
        <option v-for="s in sites" :key="s.id" :value="s.id">{{ s.name }}</option>
      </select></label
    >
    <select v-model="paper" aria-label="Paper">
      <option value="A4">A4</option>
      <option value="LETTER">Letter</option>
    </select>
    <select v-model="type" aria-label="Type">
      <option value="small">usual type</option>
      <option value="large">large type</option>
    </select>
    <AppButton type="submit" data-test="all-sheets">Make them</AppButton>
    <FormProblem :message="problem" />
  </form>
</template>
