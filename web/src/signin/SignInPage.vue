<script setup lang="ts">
import { useForm } from 'vee-validate';
import { ref } from 'vue';
import { RouterLink, useRoute, useRouter } from 'vue-router';
import { object, string } from 'yup';
import { ApiError } from '../shared/api/client.ts';
import { useOutbox } from '../shared/outbox/outboxStore.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import TextField from '../shared/ui/TextField.vue';
import SecondCode from './SecondCode.vue';

const session = useSession();
const outbox = useOutbox();
const router = useRouter();
const route = useRoute();
const problem = ref<string | null>(null);
/** Login and password were right: the code of the second factor is asked for. */
const asksForCode = ref(false);
const { handleSubmit, isSubmitting, setFieldValue } = useForm({
  initialValues: { login: '', password: '', code: '' },
  validationSchema: object({
    login: string().required('Expected your login'),
    password: string().required('Expected your password'),
  }),
});

const submit = handleSubmit(async ({ login, password, code }) => {
  problem.value = null;
  try {
    await session.signIn(login, password, asksForCode.value ? code : null);
    const to = String(route.query['to'] ?? '/today');
    await router.push(to.startsWith('/') && !to.startsWith('//') ? to : '/today');
  } catch (error) {
    if (error instanceof ApiError && error.code === 'secondFactor') {
      // The first time it is no fault: the field says what is asked for.
      problem.value = asksForCode.value ? error.message : null;
      asksForCode.value = true;
      setFieldValue('code', '');
      return;
    }
    problem.value = error instanceof ApiError ? error.message : 'Signing in failed';
  }
});
function again(): void {
  asksForCode.value = false;
  problem.value = null;
}
</script>

<template>
  <div class="grid flex-1 md:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
    <form
      class="mx-auto flex w-full max-w-sm flex-col justify-center gap-4 px-6 py-10"
      novalidate
      @submit="submit"
    >
      <h1 class="text-[26px]">Sign in</h1>
      <p v-if="session.ended" class="border-l-4 border-amber bg-amber-wash px-3 py-2" role="status">
        {{ session.ended }}
      </p>
      <TextField v-show="!asksForCode" name="login" label="Login" autocomplete="username" />
      <TextField
        v-show="!asksForCode"
        name="password"
        label="Password"
        type="password"
        autocomplete="current-password"
      />
      <SecondCode v-if="asksForCode" />
      <FormProblem :message="problem" />
      <AppButton kind="primary" type="submit" :disabled="isSubmitting" data-test="sign-in">Sign in</AppButton>
      <p v-if="outbox.entries.length > 0" class="border-l-4 border-amber bg-amber-wash px-3 py-2">
        {{ outbox.entries.length === 1 ? 'One entry waits' : `${outbox.entries.length} entries wait` }} on
        this device.
        <RouterLink class="link" to="/waiting">Look, or export</RouterLink>
      </p>
      <p v-if="asksForCode">
        <button type="button" class="link min-h-11" @click="again">Sign in as somebody else</button>
      </p>
      <p v-else class="hint">
        No account? A lead of your company sends you a link. Forgotten the password? A lead sends you a new
        one.
      </p>
    </form>
    <section class="hidden flex-col justify-center border-l border-hairline bg-sheet px-14 md:flex">
      <p class="max-w-md font-head text-[26px] leading-snug font-medium">
        Plan the values with their reasons. Key them in, one by one, in the control's own codes. Leave a page
        behind that says what was set.
      </p>
      <svg class="mt-10 w-full max-w-lg" viewBox="0 0 480 90" aria-hidden="true">
        <path d="M0 52h480" stroke="currentColor" stroke-width="1.5" />
        <path
          v-for="n in 25"
          :key="n"
          :d="`M${(n - 1) * 20} 52v${n % 4 === 1 ? 10 : 5}`"
          stroke="currentColor"
        />
        <rect x="120" y="40" width="80" height="12" fill="var(--color-cold)" />
        <path d="M120 52V22h70v14h-70" fill="var(--color-brine)" />
        <path d="M200 52V8h56v14h-56" fill="var(--color-cold)" />
        <path d="M330 52V22h60v14h-60" fill="var(--color-alarm)" />
      </svg>
    </section>
  </div>
</template>
