<script setup lang="ts">
import { ref } from 'vue';
import { request } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SiteField from '../shared/ui/SiteField.vue';
import { useAskedSite } from './useAskedSite.ts';

/** Asks for the sheets of a site, or of all, as one file. */
const emit = defineEmits<{ made: [] }>();
const site = useAskedSite();
const paper = ref<'A4' | 'LETTER'>('A4');
const type = ref<'small' | 'large'>('small');
const { problem, act } = useAct();

async function make() {
  const asked = await act(() =>
    request('startSheets', {
      body: { site: site.value?.id ?? null, paper: paper.value, type: type.value },
    }),
  );
  if (asked) emit('made');
}
</script>

<template>
  <form class="flex flex-wrap items-center gap-2" novalidate @submit.prevent="make">
    <label class="flex flex-wrap items-center gap-2"
      >Sheets of <SiteField v-model="site" placeholder="every site" class="w-64" data-test="sheets-site"
    /></label>
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
