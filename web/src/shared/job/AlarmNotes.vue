<script setup lang="ts">
import { computed, ref } from 'vue';
import { useJob } from './useJob.ts';
import { newId } from '../outbox/identity.ts';
import { useSession } from '../session/sessionStore.ts';
import { allStanding } from '@brine/core/record/fold';
import { mayGoOn, type AlarmSign } from '@brine/core/controllers/alarmCodes';
import AppButton from '../ui/AppButton.vue';
import { handOn } from '../ui/handOn.ts';

/** Alarm codes as they stand on the display: written down before they are cleared, with what the booklet says. */
const { signs = false } = defineProps<{
  /** Ask whether the sign stands or flashes, and say whether the trip may go on. */ signs?: boolean;
}>();
const job = useJob();
const session = useSession();
const list = computed(() => job.proving.value.alarms);
const known = computed(() => [
  ...(job.old.value?.alarmCodes ?? []),
  ...(job.replacement.value?.alarmCodes ?? []),
]);
const shows = computed(
  () =>
    new Map(
      allStanding(job.state.value, 'alarmSign').flatMap((s) => (s.sign ? [[s.alarm, s.sign] as const] : [])),
    ),
);
const advice = (alarm: { readonly id: string; readonly code: string }) =>
  mayGoOn(
    known.value.find((k) => k.code === alarm.code),
    shows.value.get(alarm.id) ?? null,
  );
const checksOf = (code: string) => known.value.find((k) => k.code === code)?.firstChecks ?? [];
const sign = ref<AlarmSign>('steady');
const code = ref('');
const words = ref('');
const meaning = computed(() => known.value.find((alarm) => alarm.code === code.value.trim()));
async function add() {
  const seen = code.value.trim();
  if (seen === '') return;
  const id = newId();
  const said = words.value.trim() || (meaning.value?.means ?? '');
  await handOn([code, words], async () => {
    await job.write({ kind: 'alarmSeen', id, code: seen, words: said, cleared: false });
    if (signs) await job.write({ kind: 'alarmSign', alarm: id, sign: sign.value });
  });
}
const clear = (alarm: (typeof list.value)[number]) => job.write({ ...alarm, cleared: !alarm.cleared });
</script>

<template>
  <section aria-label="Alarms" data-test="alarm-notes">
    <h3>Alarms on the display</h3>
    <p class="hint mt-1">
      Write each down before it is cleared: a cleared code is gone, and the unit may start at once.
    </p>
    <ul v-if="list.length > 0" class="mt-1 border-t border-ink">
      <li
        v-for="alarm in list"
        :key="alarm.id"
        class="flex items-baseline gap-3 border-b border-hairline py-1.5 text-[14.5px]"
      >
        <span class="font-mono font-semibold">{{ alarm.code }}</span>
        <span class="flex-1"
          >{{ alarm.words
          }}<template v-if="signs"
            ><template v-if="shows.get(alarm.id)">, {{ shows.get(alarm.id) }}</template>
            <span
              class="block"
              :class="{ 'font-semibold text-alarm': !advice(alarm).goOn }"
              data-test="may-go-on"
              >May it go on? {{ advice(alarm).words }}</span
            ><span v-if="checksOf(alarm.code).length > 0" class="block text-soft"
              >First: {{ checksOf(alarm.code).join('; ') }}</span
            ></template
          ></span
        >
        <button v-if="session.mayWrite" type="button" class="link" @click="clear(alarm)">
          {{ alarm.cleared ? '✓ cleared' : 'Cleared' }}
        </button>
      </li>
    </ul>
    <form v-if="session.mayWrite" class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="add">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Code</span
        ><input
          v-model="code"
          class="w-24 font-mono"
          maxlength="40"
          list="alarm-codes"
          data-test="alarm-code"
      /></label>
      <datalist id="alarm-codes">
        <option v-for="alarm in known" :key="alarm.code" :value="alarm.code">{{ alarm.means }}</option>
      </datalist>
      <label v-if="signs" class="flex flex-col gap-1"
        ><span class="field-label">The sign</span
        ><select v-model="sign" data-test="alarm-sign">
          <option value="steady">stands</option>
          <option value="flashing">flashes</option>
        </select></label
      >
      <label class="flex min-w-40 flex-1 flex-col gap-1"
        ><span class="field-label">In words</span
        ><input
          v-model="words"
          maxlength="300"
          :placeholder="meaning?.means ?? 'steady or flashing, since when'"
      /></label>
      <AppButton type="submit" data-test="alarm-add">Write it down</AppButton>
    </form>
    <p v-if="meaning && meaning.firstChecks.length > 0" class="hint mt-1">
      First: {{ meaning.firstChecks.join('; ') }}
    </p>
  </section>
</template>
