<script setup lang="ts">
import { ref } from 'vue';
import type { SharedPage } from '@brine/contract/routes';
import { request, messageOf } from '../api/client.ts';

/** What anybody with the link sees of a unit. */
const props = defineProps<{ token: string }>();
const page = ref<SharedPage | null>(null);
const problem = ref('');
request('sharedPage', { params: { token: props.token } })
  .then((answer) => (page.value = answer.page))
  .catch((error: unknown) => (problem.value = messageOf(error)));
</script>

<template>
  <section class="mx-auto w-full max-w-3xl px-4 py-6 sm:px-6" data-test="shared-page">
    <p v-if="problem" role="alert">{{ problem }}. Ask the company for a new sheet.</p>
    <p v-else-if="!page" class="text-soft">Loading …</p>
    <template v-else>
      <h1>{{ page.unit }}</h1>
      <p class="text-soft">{{ page.site }} · {{ page.control }} · as of {{ page.date }}</p>
      <section class="mt-5" data-test="set-to">
        <h2>What it is set to</h2>
        <ul v-if="page.setTo.length > 0" class="mt-1 list-disc pl-5">
          <li v-for="line in page.setTo" :key="line">{{ line }}</li>
        </ul>
        <p v-else-if="page.groups.length === 0" class="mt-1">Nothing is known to be set in it yet.</p>
      </section>
      <section v-if="page.open.length > 0" class="mt-5" data-test="page-open">
        <h2>Not finished</h2>
        <ul class="mt-1 list-disc pl-5">
          <li v-for="line in page.open" :key="line.words">
            {{ line.words }}{{ line.because ? `: ${line.because}` : '' }}
          </li>
        </ul>
      </section>
      <section class="mt-5">
        <h2>What to watch</h2>
        <ul v-if="page.watch.length > 0" class="mt-1 list-disc pl-5">
          <li v-for="line in page.watch" :key="line">{{ line }}</li>
        </ul>
        <p v-else class="mt-1">Nothing beyond the usual: look at the frost after three days.</p>
        <p v-for="n in page.next" :key="n.due + n.what" class="mt-1">{{ n.due }}: {{ n.what }}</p>
      </section>
      <section v-if="page.alarms.length > 0" class="mt-5">
        <h2>If it shows</h2>
        <ul class="mt-1 border-t border-ink">
          <li v-for="a in page.alarms" :key="a.code" class="border-b border-hairline py-2">
            <span class="font-mono font-semibold">{{ a.code }}</span> {{ a.means }}.
            <span class="text-soft">{{ a.firstChecks.join('; ') }}</span>
          </li>
        </ul>
      </section>
      <section class="mt-5">
        <h2>In the unit, code by code</h2>
        <p v-if="page.groups.length === 0" class="mt-1">No value has been seen in it yet.</p>
        <div v-for="group in page.groups" :key="group.title" class="mt-3">
          <h3>{{ group.title }}</h3>
          <table class="table-plain">
            <tbody>
              <tr v-for="line in group.lines" :key="line.code">
                <td class="w-20 font-mono font-semibold">{{ line.code }}</td>
                <td>{{ line.meaning }}</td>
                <td class="!pr-0 text-right font-mono">{{ line.value }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div v-if="page.planned.length > 0" class="mt-4" data-test="page-planned">
          <h3>Planned, not yet in the unit</h3>
          <table class="table-plain text-soft">
            <tbody>
              <tr v-for="line in page.planned" :key="line.code">
                <td class="w-20 font-mono">{{ line.code }}</td>
                <td>{{ line.meaning }}</td>
                <td class="!pr-0 text-right font-mono">{{ line.planned }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="page.builtIn.length > 0" class="hint mt-2">Built in: {{ page.builtIn.join('; ') }}</p>
      </section>
      <p class="mt-6">
        Whom to call: <strong class="font-semibold">{{ page.company }}</strong><template v-if="page.phone"
          >, <a class="link" :href="`tel:${page.phone.replace(/[^+\d]/g, '')}`">{{ page.phone }}</a></template
        >
      </p>
      <p class="mt-6 border-l-4 border-amber bg-amber-wash px-3 py-2 text-[14px]">
        <strong class="font-semibold">Caution. </strong>The unit starts by itself. Covers and terminals are
        for qualified persons. Whether product that was out of range may be kept is for its owner and the
        authority to decide.
      </p>
    </template>
  </section>
</template>
