<script setup lang="ts">
import { ref } from 'vue';
import { format, startOfMonth, subMonths } from 'date-fns';
import { request } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import SiteField from '../shared/ui/SiteField.vue';
import { useAskedSite } from './useAskedSite.ts';

/** Asks for a report for the customer: a site or all of them, from a day to a day. */
const emit = defineEmits<{ made: [] }>();
const session = useSession();
const site = useAskedSite();
const now = new Date();
const from = ref(format(startOfMonth(subMonths(now, 1)), 'yyyy-MM-dd'));
const to = ref(format(now, 'yyyy-MM-dd'));
const as = ref<'pdf' | 'xlsx'>('pdf');
const { problem, act } = useAct();

async function make() {
  const asked = await act(() =>
    request('startReport', {
      body: {
        site: site.value?.id ?? null,
        from: from.value,
        to: to.value,
        format: as.value,
        // °F is read where Letter is bought.
        paper: session.company?.displayUnit === 'fahrenheit' ? 'LETTER' : 'A4',
      },
    }),
  );
  if (asked) emit('made');
}
</script>

<template>
  <form class="flex flex-wrap items-center gap-2" novalidate data-test="report-form" @submit.prevent="make">
    <label class="flex flex-wrap items-center gap-2"
      >Report for the customer on
      <SiteField v-model="site" placeholder="every site" class="w-64" data-test="report-site"
    /></label>
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
