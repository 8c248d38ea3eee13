<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { RouterLink } from 'vue-router';
import {
  predictionScore,
  scoreWords,
  unitHistory,
  type HistoryJob,
  type KeptSheet,
} from '@brine/core/record/history';
import { sameCodeValue } from '@brine/core/controllers/definitions';
import { printNumber } from '@brine/core/foundation/quantities';
import { isSettingId, settingOf } from '@brine/core/foundation/settings';
import { request, messageOf } from '../shared/api/client.ts';
import type { Unit } from '@brine/contract/routes';
import { jobsOfUnit, type NamedJob } from '../shared/inUnit/jobsOfUnit.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { localDate, localDateTime } from '../shared/display/localTime.ts';
import KeptThings from './KeptThings.vue';
import InItNow from './InItNow.vue';
import UnitLabel from './UnitLabel.vue';

/** Everything ever done to a unit: history, settings versions beside each other, what drifted, what is due. */
const props = defineProps<{ id: string }>();
const session = useSession();
const unit = ref<Unit | null>(null);
const jobs = shallowRef<readonly (HistoryJob & NamedJob)[]>([]);
const problem = ref('');
const loading = ref(true);
const today = localDate(new Date().toISOString());

async function load() {
  try {
    unit.value = (await request('unit', { params: { id: props.id } })).unit;
    jobs.value = await jobsOfUnit(session.person?.id ?? '', props.id);
  } catch (error) {
    problem.value = messageOf(error);
  }
  loading.value = false;
}
watch(() => props.id, load, { immediate: true });
const history = computed(() => unitHistory(jobs.value));
const kinds = { found: 'as found', planned: 'planned', left: 'as left' } as const;
const name = (s: KeptSheet) => `${localDate(s.at)} ${kinds[s.kind]}, ${s.family}`;
const [a, b] = [ref(''), ref('')];
watch(
  () => history.value.sheets,
  (sheets) => {
    const left = sheets.filter((s) => s.kind === 'left');
    a.value = left.at(-2)?.id ?? sheets.at(0)?.id ?? '';
    b.value = left.at(-1)?.id ?? sheets.at(-1)?.id ?? '';
  },
);
const compared = computed(() => {
  const [x, y] = [a.value, b.value].map((id) => history.value.sheets.find((s) => s.id === id));
  if (!x || !y || x.id === y.id) return null;
  const codes = [...new Set([...x.rows, ...y.rows].map((r) => r.code))];
  const rows = codes.map((code) => {
    const [p, q] = [x, y].map((s) => s.rows.find((r) => r.code === code)?.value);
    return {
      code,
      before: p ?? '',
      after: q ?? '',
      differs: p === undefined || q === undefined || !sameCodeValue(p, q),
    };
  });
  return { rows: rows.filter((r) => r.differs), same: rows.filter((r) => !r.differs).length };
});
/** How what was predicted of it came true. */
const came = computed(() =>
  scoreWords(
    predictionScore(
      jobs.value.flatMap(({ entries }) =>
        entries.flatMap(({ body }) => (body.kind === 'heldAgainst' ? [body] : [])),
      ),
    ),
  ),
);
/** Whether anything stands beside the history. */
const more = computed(() => {
  const { drift, followUps, calibrations, alarms, sheets, papers, logs, pictures } = history.value;
  const lists = [drift, followUps, calibrations, alarms, papers, logs, pictures];
  return lists.some((list) => list.length > 0) || sheets.length > 1;
});
const meaning = (setting: string | null) => (setting && isSettingId(setting) ? settingOf(setting).label : '');
/** Who wrote a line, as its job names them. */
const nameOf = (line: { readonly job: string; readonly by: string | null }) =>
  (line.by !== null && jobs.value.find(({ id }) => id === line.job)?.names[line.by]) || 'somebody';
const overdue = (due: string) => due < today;
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6" data-test="unit-page">
    <p v-if="problem" role="alert">
      {{ problem }}. <RouterLink class="link" to="/units">Go to the units</RouterLink>
    </p>
    <template v-else>
      <div class="flex flex-wrap items-start justify-between gap-x-10 gap-y-4">
        <div class="min-w-0">
          <h1>{{ [unit?.tag, unit?.name].filter(Boolean).join(' ') || 'Loading the unit …' }}</h1>
          <p class="text-soft">{{ [unit?.siteName, unit?.plate].filter(Boolean).join(' · ') }}</p>
        </div>
        <UnitLabel v-if="unit" :unit="unit" />
      </div>
      <p v-if="!loading && jobs.length === 0" class="mt-4">Nothing was done on this unit yet.</p>
      <p v-if="unit" class="mt-3 flex flex-wrap items-center gap-x-5 gap-y-1">
        <RouterLink
          v-if="session.mayWrite"
          class="inline-flex min-h-9 items-center rounded-md border border-brine px-4 font-medium text-brine pointer-coarse:min-h-11"
          :to="{ path: '/today', query: { call: unit.id } }"
          data-test="new-job-here"
          >New job on it</RouterLink
        >
        <RouterLink
          class="link inline-flex min-h-9 items-center pointer-coarse:min-h-11"
          :to="`/units/${unit.id}/beside`"
          data-test="beside"
          >Side by side with another unit of the site</RouterLink
        >
      </p>
      <p v-if="came" class="mt-4 max-w-3xl" data-test="came-true">{{ came }}</p>
      <InItNow class="mt-6" :jobs="jobs" :name="unit?.name ?? ''" />
      <div
        class="mt-5 grid gap-x-12 gap-y-8"
        :class="{ 'lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]': more }"
      >
        <div v-if="more" class="flex min-w-0 flex-col gap-8">
          <section v-if="history.drift.length > 0" aria-label="Drift" data-test="drift">
            <h2>Not as it was left</h2>
            <ul class="mt-1">
              <li
                v-for="d in history.drift"
                :key="d.code + d.foundAt"
                class="border-l-4 border-amber bg-amber-wash px-3 py-2 [&+li]:mt-2"
              >
                <span class="font-mono font-semibold">{{ d.code }}</span> {{ meaning(d.setting) }}: left at
                <span class="font-mono">{{ d.left }}</span> on {{ localDate(d.leftAt) }}, found at
                <span class="font-mono">{{ d.found }}</span> on {{ localDate(d.foundAt) }}. Somebody turned
                it, or it was never saved.
              </li>
            </ul>
          </section>
          <section v-if="history.followUps.length + history.calibrations.length > 0" aria-label="Due">
            <h2>Due</h2>
            <table class="table-plain mt-1">
              <tbody>
                <tr v-for="f in history.followUps" :key="f.due + f.what">
                  <td
                    class="w-44 whitespace-nowrap"
                    :class="{ 'font-semibold text-alarm': !f.done && overdue(f.due) }"
                  >
                    {{ f.due }}{{ !f.done && overdue(f.due) ? ', overdue' : '' }}
                  </td>
                  <td class="!pr-0" :class="{ 'text-soft': f.done }">{{ f.done ? '✓ ' : '' }}{{ f.what }}</td>
                </tr>
                <tr v-for="c in history.calibrations" :key="c.date + c.probe">
                  <td class="whitespace-nowrap" :class="{ 'font-semibold text-alarm': overdue(c.nextDue) }">
                    {{ c.nextDue }}{{ overdue(c.nextDue) ? ', overdue' : '' }}
                  </td>
                  <td class="!pr-0">
                    Calibrate {{ c.probe }} again<span class="hint block"
                      >last {{ c.date
                      }}{{
                        c.code
                          ? `: ${c.code} ${printNumber(c.before ?? 0, 2)} → ${printNumber(c.after ?? 0, 2)} ${c.unit}`
                          : ''
                      }}</span
                    >
                  </td>
                </tr>
              </tbody>
            </table>
          </section>
          <KeptThings :history="history" />
          <section v-if="history.alarms.length > 0" aria-label="Alarms">
            <h2>Alarms written down</h2>
            <ul class="mt-1">
              <li
                v-for="alarm in history.alarms"
                :key="alarm.at + alarm.code"
                class="border-b border-hairline py-1.5"
              >
                {{ localDateTime(alarm.at) }} <span class="font-mono font-semibold">{{ alarm.code }}</span>
                {{ alarm.words }}{{ alarm.cleared ? ', cleared' : '' }}
              </li>
            </ul>
          </section>
          <section v-if="history.sheets.length > 1" aria-label="Versions" data-test="versions">
            <h2>Settings versions</h2>
            <div class="mt-2 flex flex-wrap gap-3">
              <select v-model="a" aria-label="One version">
                <option v-for="s in history.sheets" :key="s.id" :value="s.id">{{ name(s) }}</option>
              </select>
              <select v-model="b" aria-label="The other version">
                <option v-for="s in history.sheets" :key="s.id" :value="s.id">{{ name(s) }}</option>
              </select>
            </div>
            <template v-if="compared">
              <table v-if="compared.rows.length > 0" class="table-plain mt-2">
                <thead>
                  <tr>
                    <th>Code</th>
                    <th class="!text-right">one</th>
                    <th class="!text-right">other</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="r in compared.rows" :key="r.code">
                    <td class="font-mono font-semibold">{{ r.code }}</td>
                    <td class="text-right font-mono">{{ r.before === '' ? '–' : r.before }}</td>
                    <td class="!pr-0 text-right font-mono">{{ r.after === '' ? '–' : r.after }}</td>
                  </tr>
                </tbody>
              </table>
              <p class="hint mt-1">{{ compared.same }} codes alike.</p>
            </template>
          </section>
        </div>
        <section v-if="history.lines.length > 0" aria-label="History">
          <h2>Everything done</h2>
          <ol class="mt-1 border-t border-ink" data-test="history">
            <li
              v-for="(line, i) in history.lines"
              :key="i"
              class="flex gap-4 border-b border-hairline py-1.5 text-[14.5px]"
            >
              <span class="w-32 shrink-0 font-mono text-[13px] text-soft">{{ localDateTime(line.at) }}</span>
              <RouterLink
                :to="`/jobs/${line.job}/survey`"
                class="min-w-0 hover:underline pointer-coarse:-my-1.5 pointer-coarse:min-h-11 pointer-coarse:content-center"
                :class="{ 'font-semibold': line.kind === 'job' || line.kind === 'handedOver' }"
                >{{ line.words }}<span v-if="line.by !== null" class="text-soft">, {{ nameOf(line) }}</span
                ><span v-if="line.foreign !== null" class="text-soft">
                  (from elsewhere, by {{ line.foreign || 'somebody' }})</span
                ></RouterLink
              >
            </li>
          </ol>
        </section>
      </div>
    </template>
  </section>
</template>
