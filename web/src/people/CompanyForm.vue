<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { LEAST_OFFLINE_DAYS, MOST_OFFLINE_DAYS } from '@brine/contract/lengths';
import { secondFactorChoices, type SecondFactorOf } from '@brine/contract/company';
import { schools, type SchoolId } from '@brine/core/foundation/unit';
import { useCompanyFields } from '../shared/company/useCompanyFields.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CompanyLogo from './CompanyLogo.vue';
import FormProblem from '../shared/ui/FormProblem.vue';

const session = useSession();
const router = useRouter();
const { name, phone, problem, change, rename, callUs, degrees } = useCompanyFields();
const ids = Object.keys(schools) as SchoolId[];
const rows = computed(() =>
  ids.map((id) => ({
    id,
    question: schools[id].question,
    side: session.company?.schools[id] ?? '',
    usual: schools[id].default,
    sides: Object.entries(schools[id].sides as Record<string, { name: string; costs: string }>).map(
      ([side, s]) => ({ side, ...s }),
    ),
  })),
);
const choose = (id: SchoolId, event: Event) => {
  const { value } = event.target as HTMLSelectElement;
  void change(({ schools: now }) => {
    const others = Object.fromEntries(Object.entries(now).filter(([other]) => other !== id));
    return { schools: value === '' ? others : { ...others, [id]: value } };
  });
};
const allDays = Array.from(
  { length: MOST_OFFLINE_DAYS - LEAST_OFFLINE_DAYS + 1 },
  (_, i) => LEAST_OFFLINE_DAYS + i,
);
const days = (event: Event) => change({ offlineDays: Number((event.target as HTMLSelectElement).value) });
/** Who asks others for it has it: otherwise the next page would shut this lead out until it is set up. */
async function askSecond(event: Event): Promise<void> {
  const select = event.target as HTMLSelectElement;
  const secondFactor = select.value as SecondFactorOf;
  const sure =
    secondFactor === 'nobody' ||
    confirm(
      `Ask ${secondFactor} for a second factor? Whoever has none sets it up at the next page they open, you too; until then nothing else opens. What waits on their devices is kept.`,
    );
  if (!sure) {
    select.value = session.company?.secondFactor ?? 'nobody';
    return;
  }
  await change({ secondFactor });
  await session.restore();
  if (session.person?.needsSecond) await router.push('/account');
}
const costs = (row: (typeof rows.value)[number]) =>
  row.sides.find((s) => s.side === (row.side || row.usual))?.costs ?? '';
</script>

<template>
  <section aria-label="Company">
    <h1>Company</h1>
    <p class="hint">
      What the plan does where people work differently. A job may choose another option; every plan says which
      option it took and what it costs.
    </p>
    <FormProblem class="mt-3" :message="problem" />
    <div class="mt-3 flex flex-wrap gap-6">
      <div class="flex flex-col gap-1">
        <label for="company-name" class="field-label">Name on the papers</label
        ><input
          id="company-name"
          v-model="name"
          placeholder="Name of your company"
          class="w-80"
          @change="rename"
        />
      </div>
      <div class="flex flex-col gap-1">
        <label for="company-phone" class="field-label">Phone on the papers</label
        ><input
          id="company-phone"
          v-model="phone"
          type="tel"
          class="w-56"
          maxlength="60"
          data-test="company-phone"
          @change="callUs"
        />
      </div>
      <CompanyLogo />
      <div class="flex flex-col gap-1">
        <label for="company-unit" class="field-label">Usual degrees</label
        ><select id="company-unit" :value="session.company?.displayUnit" @change="degrees">
          <option value="fahrenheit">°F</option>
          <option value="celsius">°C</option>
        </select>
      </div>
      <div class="flex flex-col gap-1">
        <label for="company-offline" class="field-label">Works without signal for</label
        ><select id="company-offline" :value="session.company?.offlineDays" @change="days">
          <option v-for="n in allDays" :key="n" :value="n">{{ n }} {{ n === 1 ? 'day' : 'days' }}</option>
        </select>
      </div>
      <div class="flex flex-col gap-1">
        <label for="company-second" class="field-label">Second factor asked of</label
        ><select
          id="company-second"
          :value="session.company?.secondFactor ?? 'nobody'"
          data-test="company-second"
          @change="askSecond"
        >
          <option v-for="who in secondFactorChoices" :key="who" :value="who">{{ who }}</option>
        </select>
      </div>
    </div>
    <table class="table-plain mt-4">
      <thead>
        <tr>
          <th>Question</th>
          <th class="w-72">Option</th>
          <th>What it costs</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td>{{ row.question }}</td>
          <td>
            <select
              class="w-full"
              :value="row.side"
              :aria-label="row.question"
              @change="choose(row.id, $event)"
            >
              <option value="">usual: {{ row.sides.find((s) => s.side === row.usual)?.name }}</option>
              <option v-for="s in row.sides" :key="s.side" :value="s.side">{{ s.name }}</option>
            </select>
          </td>
          <td class="text-soft">{{ costs(row) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
