<script setup lang="ts">
import { useForm } from 'vee-validate';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { object, ref as yupRef, string } from 'yup';
import { SHORTEST_PASSWORD } from '@brine/contract/lengths';
import { ApiError, request, messageOf } from '../shared/api/client.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import TextField from '../shared/ui/TextField.vue';
import SecondCode from './SecondCode.vue';

const props = defineProps<{ token: string }>();
const session = useSession();
const router = useRouter();
const link = ref<{ kind: 'firstLead' | 'invite' | 'reset'; name: string; login: string | null } | null>(null);
const problem = ref<string | null>(null);
const first = computed(() => link.value?.kind === 'firstLead');
const heading = computed(() =>
  first.value ? 'Become the first lead' : `Welcome, ${link.value?.name ?? ''}`,
);
const schema = computed(() =>
  object({
    login: first.value ? string().trim().required('Expected a login') : string(),
    name: first.value ? string().trim().required('Expected your name') : string(),
    password: string()
      .required('Expected a password')
      .min(SHORTEST_PASSWORD, `Expected at least ${SHORTEST_PASSWORD} characters`),
    again: string().oneOf([yupRef('password')], 'The two passwords differ'),
  }),
);
const { handleSubmit, isSubmitting } = useForm({
  validationSchema: schema,
  initialValues: { login: '', name: '', password: '', again: '', code: '' },
});

onMounted(async () => {
  try {
    link.value = (await request('link', { params: { token: props.token } })).link;
  } catch (error) {
    problem.value = messageOf(error);
  }
});

/** Whoever has a second factor keeps it with another password. */
const asksForCode = ref(false);
const submit = handleSubmit(async ({ login, name, password, code }) => {
  problem.value = null;
  try {
    await session.takeLink(props.token, {
      login: first.value ? login : null,
      name: first.value ? name : null,
      password,
      ...(asksForCode.value && { code }),
    });
    await router.push('/today');
  } catch (error) {
    const asked = error instanceof ApiError && error.code === 'secondFactor' && !asksForCode.value;
    if (asked) asksForCode.value = true;
    else problem.value = messageOf(error);
  }
});
</script>

<template>
  <form class="mx-auto flex w-full max-w-sm flex-col gap-4 px-6 py-10" novalidate @submit="submit">
    <h1 class="text-[26px]">{{ link ? heading : 'One-time link' }}</h1>
    <template v-if="link">
      <p v-if="link.login" class="hint">Your login is {{ link.login }}.</p>
      <TextField v-if="first" name="login" label="Login" autocomplete="username" />
      <TextField v-if="first" name="name" label="Your name" autocomplete="name" />
      <TextField
        name="password"
        label="New password"
        type="password"
        autocomplete="new-password"
        :hint="`At least ${SHORTEST_PASSWORD} characters; several words are easy to keep in mind`"
      />
      <TextField name="again" label="The same again" type="password" autocomplete="new-password" />
      <SecondCode v-if="asksForCode" />
    </template>
    <FormProblem :message="problem" />
    <AppButton v-if="link" kind="primary" type="submit" :disabled="isSubmitting" data-test="take-link"
      >Set password and sign in</AppButton
    >
  </form>
</template>
