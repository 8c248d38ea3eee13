<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import { format, startOfMonth, subMonths } from 'date-fns';
import type { Site } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';

/** Asks for a report for the customer: a site or all of them, from a day to a day. */
const emit = defineEmits<{ made: [] }>();
const route = useRoute();
const session = useSession();
const sites = shallowRef<readonly Site[]>([]);
const site = ref(typeof route.query['site'] === 'string' ? route.query['site'] : '');
const now = new Date();
const from = ref(format(startOfMonth(subMonths(now, 1)), 'yyyy-MM-dd'));
const to = ref(format(now, 'yyyy-MM-dd'));
const as = ref<'pdf' | 'xlsx'>('pdf');
const problem = ref<string | null>(null);

onMounted(async () => {
  // Without the list there is still every site.
  sites.value = (await request('sites').catch(() => null))?.sites ?? [];
});
async function make() {
  try {
    await request('startReport', {
      body: {
        site: site.value || null,
        from: from.value,
        to: to.value,
        format: as.value,
        // °F is read where Letter is bought.
        paper: session.company?.displayUnit === 'fahrenheit' ? 'LETTER' : 'A4',
      },
    });
    problem.value = null;
    emit('made');
  } catch (error) {
    problem.value = messageOf(error);
  }
}
</script>

<template>
  <form class="flex flex-wrap items-center gap-2" novalidate data-test="report-form" @submit.prevent="make">
    <label class="flex flex-wrap items-center gap-2"
      >Report for the customer on
      <select v-model="site" class="max-w-full" data-test="report-site">
        <option value="">every site</option>
        <option v-for="s in sites" :key="s.id" :value="s.id">{{ s.name }}</option>
      </select></label
    >
    <label class="flex items-center gap-2"
      >from <input v-model="from" type="date" class="w-40" data-test="report-from"
    /></label>
    <label class="flex items-center gap-2"
      >to <input v-model="to" type="date" class="w-40" data-test="report-to"
    /></label>
    <select v-model="as" aria-label="As" data-test="report-as">
      <option value="pdf">to print (PDF)</option>
      <option value="xlsx">as a spreadsheet</option>
    </select>
    <AppButton type="submit" data-test="make-report">Make it</AppButton>
    <FormProblem :message="problem" />
  </form>
</template>
