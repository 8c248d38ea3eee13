<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { siteQuestionsOf, type AskedOnSite } from '@brine/core/record/job';
import { testName } from '@brine/core/judgement/commissioning';
import { quantity, valueIn } from '@brine/core/foundation/quantities';
import { useDisplay } from '../display/displayStore.ts';
import { localDate, localDateTime, localTime } from '../display/localTime.ts';
import { readTemperature } from '../display/readTemperature.ts';
import { useJob } from '../job/useJob.ts';
import { useSession } from '../session/sessionStore.ts';
import AppButton from '../ui/AppButton.vue';

/** What the people on site were asked to look at, and what they said: it goes to the tests that it tells something of. */
const job = useJob();
const session = useSession();
const display = useDisplay();
const questions = computed(() => siteQuestionsOf(job.state.value));
const typed = reactive<Record<string, string>>({});
const problem = ref<Record<string, string>>({});
const show = (celsius: number) => display.show(quantity(celsius, 'degC'));
const when = (at: string) =>
  localDate(at) === localDate(new Date().toISOString()) ? localTime(at) : localDateTime(at);
const isRight = ({ least, most, answer }: AskedOnSite) =>
  answer !== null && answer.celsius >= least - 1e-9 && answer.celsius <= most + 1e-9;
async function take(asked: AskedOnSite) {
  const read = readTemperature((typed[asked.id] ?? '').trim(), display.unit);
  if (!read.ok) return void (problem.value = { ...problem.value, [asked.id]: read.problem });
  const celsius = valueIn(read.value, 'degC');
  const { id, at, least, most, tests, words } = asked;
  const answer = { celsius, at: new Date().toISOString(), who: '' };
  const right = isRight({ ...asked, answer });
  await job.write(
    { kind: 'siteQuestion', id, question: { at, least, most, tests: [...tests], words }, answer },
    ...tests.map((test) => ({
      kind: 'test' as const,
      test,
      result: right ? ('passed' as const) : ('failed' as const),
      value: null,
      word: `Read by the people on site: ${show(celsius)}, expected ${show(least)} to ${show(most)}`,
      picture: null,
    })),
  );
}
const remove = ({ id }: AskedOnSite) => job.write({ kind: 'siteQuestion', id, question: null, answer: null });
</script>

<template>
  <section v-if="questions.length > 0" aria-label="Asked of the people on site" data-test="site-questions">
    <h3>Asked of the people on site</h3>
    <ul class="mt-1 border-t border-ink">
      <li v-for="asked in questions" :key="asked.id" class="border-b border-hairline py-2">
        <p>
          At <span class="font-mono">{{ when(asked.at) }}</span> the display must show between
          {{ show(asked.least) }} and {{ show(asked.most) }}.
          <span class="text-soft">It tells of: {{ asked.tests.map(testName).join(', ') }}.</span>
        </p>
        <p
          v-if="asked.answer"
          class="mt-1"
          :class="isRight(asked) ? 'text-good' : 'text-alarm'"
          role="status"
        >
          {{ isRight(asked) ? '✓' : '✗' }} It showed {{ show(asked.answer.celsius) }}, told at
          {{ when(asked.answer.at) }}.
        </p>
        <form
          v-else-if="session.mayWrite"
          class="mt-1 flex flex-wrap items-end gap-2"
          @submit.prevent="take(asked)"
        >
          <label class="flex flex-col gap-1"
            ><span class="field-label">It showed, {{ display.symbol }}</span
            ><input v-model="typed[asked.id]" class="w-28 font-mono" inputmode="text" data-test="site-answer"
          /></label>
          <AppButton type="submit" data-test="site-answered">Write it down</AppButton>
          <AppButton kind="quiet" @click="remove(asked)">Remove</AppButton>
          <p v-if="problem[asked.id]" class="problem basis-full" role="alert">{{ problem[asked.id] }}</p>
        </form>
      </li>
    </ul>
  </section>
</template>
