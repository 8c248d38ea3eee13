<script setup lang="ts">
import { useForm } from 'vee-validate';
import { onMounted, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { object, ref as yupRef, string } from 'yup';
import { SHORTEST_PASSWORD } from '@brine/contract/lengths';
import type { SessionLine } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { localDateTime } from '../shared/display/localTime.ts';
import { machineOf } from '../shared/display/machineOf.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import TextField from '../shared/ui/TextField.vue';
import MyCalendar from './MyCalendar.vue';
import OnAPhone from './OnAPhone.vue';
import SecondFactor from './SecondFactor.vue';

/** One’s own account: the password, and where one is signed in. */
const session = useSession();
const sessions = ref<readonly SessionLine[]>([]);
const problem = ref<string | null>(null);
const refused = ref<string | null>(null);
const changed = ref(false);

async function load() {
  try {
    sessions.value = (await request('sessions')).sessions;
    problem.value = null;
  } catch (error) {
    problem.value = messageOf(error);
  }
}
async function end(line: SessionLine) {
  await request('endSession', { params: { id: line.id } }).catch(
    (error: unknown) => (problem.value = messageOf(error)),
  );
  await load();
}
/** As it was when the page opened: what is shown once, the recovery codes, is not moved away from under the eye. */
const firstOfAll = session.person?.needsSecond === true;
// Before it nothing else is answered.
if (!firstOfAll) onMounted(load);

const { handleSubmit, isSubmitting, resetForm } = useForm({
  validationSchema: object({
    current: string().required('Expected the present password'),
    next: string()
      .required('Expected a new password')
      .min(SHORTEST_PASSWORD, `Expected at least ${SHORTEST_PASSWORD} characters`),
    again: string().oneOf([yupRef('next')], 'The two passwords differ'),
  }),
  initialValues: { current: '', next: '', again: '' },
});
const submit = handleSubmit(async ({ current, next }) => {
  refused.value = null;
  changed.value = false;
  try {
    await session.changePassword(current, next);
    resetForm();
    changed.value = true;
    await load();
  } catch (error) {
    refused.value = messageOf(error);
  }
});
</script>

<template>
  <section class="mx-auto w-full max-w-5xl px-4 py-5 sm:px-6">
    <h1>Your account</h1>
    <p class="text-soft">
      {{ session.person?.name }}, login {{ session.person?.login }}, {{ session.person?.role }}
    </p>
    <div v-if="!firstOfAll" class="mt-5 grid gap-x-12 gap-y-8 md:grid-cols-2">
      <form class="flex flex-col gap-4" novalidate aria-label="Password" @submit="submit">
        <h2>Change the password</h2>
        <p v-if="session.person?.demo" class="hint">Demo accounts keep their password.</p>
        <template v-else>
          <TextField
            name="current"
            label="Present password"
            type="password"
            autocomplete="current-password"
          />
          <TextField
            name="next"
            label="New password"
            type="password"
            autocomplete="new-password"
            :hint="`At least ${SHORTEST_PASSWORD} characters; several words are easy to keep in mind`"
          />
          <TextField name="again" label="The same again" type="password" autocomplete="new-password" />
          <FormProblem :message="refused" />
          <p v-if="changed" role="status" data-test="changed">
            ✓ Changed. Every other browser and device was signed out.
          </p>
          <span
            ><AppButton kind="primary" type="submit" :disabled="isSubmitting" data-test="change-password"
              >Change it</AppButton
            ></span
          >
        </template>
      </form>
      <section aria-label="Sessions">
        <h2>Where you are signed in</h2>
        <FormProblem class="mt-2" :message="problem" />
        <ul class="mt-2 border-t border-ink" data-test="sessions">
          <li
            v-for="line in sessions"
            :key="line.id"
            class="flex items-center gap-4 border-b border-hairline py-2"
          >
            <span class="min-w-0 flex-1"
              >{{ machineOf(line.browser) }}{{ line.current ? ', this one' : '' }}
              <span class="hint block">signed in {{ localDateTime(line.createdAt) }}</span>
              <span class="hint block">last used {{ localDateTime(line.lastUsedAt) }}</span></span
            >
            <AppButton v-if="!line.current" kind="quiet" data-test="end-session" @click="end(line)"
              >Sign it out</AppButton
            >
          </li>
        </ul>
      </section>
    </div>
    <SecondFactor class="mt-8" />
    <template v-if="!firstOfAll">
      <MyCalendar class="mt-8" />
      <OnAPhone class="mt-8" />
    </template>
    <p v-if="firstOfAll && !session.person?.needsSecond" class="mt-5">
      <RouterLink class="link inline-flex min-h-11 items-center" to="/today" data-test="second-done"
        >Go on to Today</RouterLink
      >
    </p>
  </section>
</template>
