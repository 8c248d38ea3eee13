<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { RouterLink } from 'vue-router';
import type { AuditLine, PersonLine } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import { localDateTime } from '../shared/display/localTime.ts';
import { machineOf } from '../shared/display/machineOf.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import { groups, isWarning, wordsOf } from './auditWords.ts';
import { useAudit } from './useAudit.ts';

/** Who came in or was refused, and who changed access or took data away: for leads. */
const { kind, person, lines, total, next, loading, problem, more } = useAudit();
const people = ref<readonly PersonLine[]>([]);
const { act } = useAct();
onMounted(() => act(async () => (people.value = (await request('people')).people)));
/** Nobody is known by a login that does not belong to anybody: it is quoted. */
const whoOf = ({ who, login }: AuditLine) => who || (login === '' ? 'somebody' : `“${login}”`);
/** From which address, and on what, where the browser said so. */
const fromOf = ({ address, browser }: AuditLine) =>
  [address, browser && machineOf(browser).toLowerCase()].filter(Boolean).join(', ');
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6">
    <p><RouterLink class="link" to="/people">Company</RouterLink></p>
    <h1>Sign-ins and changes</h1>
    <p class="mt-1 max-w-[70ch] text-soft">
      Who came in or was refused, who changed what lets people in, and who opened or took data out. It is only
      ever added to.
    </p>
    <div class="mt-4 flex flex-wrap items-end gap-4">
      <span class="flex flex-col gap-1"
        ><label for="audit-kind" class="field-label">What</label
        ><select id="audit-kind" v-model="kind">
          <option value="">everything</option>
          <option v-for="group in groups" :key="group.kind" :value="group.kind">{{ group.name }}</option>
        </select></span
      >
      <span class="flex flex-col gap-1"
        ><label for="audit-person" class="field-label">Who</label
        ><select id="audit-person" v-model="person">
          <option value="">everybody</option>
          <option v-for="one in people" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select></span
      >
      <span class="flex-1"></span>
      <p v-if="!loading" class="text-soft" data-test="audit-count">
        {{ lines.length < total ? `${lines.length} of ${total}` : total }}
        {{ total === 1 ? 'line' : 'lines' }}
      </p>
    </div>
    <FormProblem class="mt-3" :message="problem" />
    <table v-if="lines.length > 0" class="table-plain table-stack mt-3" data-test="audit">
      <thead>
        <tr>
          <th class="w-44">When</th>
          <th class="w-48">Who</th>
          <th>What</th>
          <th class="w-56">From</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.id">
          <td class="whitespace-nowrap text-soft" data-label="When">{{ localDateTime(line.at) }}</td>
          <td class="font-medium" data-label="Who">{{ whoOf(line) }}</td>
          <td data-label="What">
            <span v-if="isWarning(line.kind)" class="mr-1 text-alarm" aria-hidden="true">▲</span
            >{{ wordsOf(line) }}
          </td>
          <td class="text-soft" data-label="From">{{ fromOf(line) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="!loading && !problem" class="mt-6 text-soft">Nothing of that kind has happened.</p>
    <p v-if="next !== null" class="mt-4">
      <AppButton data-test="more-audit" @click="more">Show more</AppButton>
    </p>
  </section>
</template>
