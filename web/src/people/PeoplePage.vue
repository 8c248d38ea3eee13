<script setup lang="ts">
import { addressHere } from '../shared/mount/mount.ts';
import { onMounted, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { request } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import { useCopy } from '../shared/ui/useCopy.ts';
import type { PersonLine, Role } from '@brine/contract/routes';
import AppButton from '../shared/ui/AppButton.vue';
import LookAround from '../shared/company/LookAround.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import QrCode from '../shared/ui/QrCode.vue';
import CompanyForm from './CompanyForm.vue';
import InviteDialog from './InviteDialog.vue';

const people = ref<readonly PersonLine[]>([]);
const inviting = ref(false);
const link = ref<{ name: string; address: string } | null>(null);
const roles: readonly Role[] = ['viewer', 'technician', 'lead'];

const { problem, act: once } = useAct();
/** Whatever became of it, the list is read anew; what went wrong first is told. */
async function act(work: () => Promise<unknown>) {
  await once(work);
  const said = problem.value;
  await once(async () => {
    people.value = (await request('people')).people;
  });
  problem.value = said ?? problem.value;
}
const addressOf = (token: string) => `${addressHere()}/link/${token}`;
const change = (person: PersonLine, what: Partial<Pick<PersonLine, 'role' | 'disabled'>>) =>
  act(() =>
    request('changePerson', { params: { id: person.id }, body: { ...what, version: person.version } }),
  );
const changeRole = (person: PersonLine, event: Event) =>
  change(person, { role: (event.target as HTMLSelectElement).value as Role });
/** It ends somebody's sessions at once: asked before, since a click may have meant the neighbour. */
function toggle(person: PersonLine) {
  const sure =
    person.disabled ||
    confirm(`Disable ${person.name}? They are signed out everywhere at once. You can enable them again.`);
  if (sure) void change(person, { disabled: !person.disabled });
}
const { copied, copy, problem: copyProblem } = useCopy();
const reset = (person: PersonLine) =>
  act(async () => {
    const answer = await request('resetPassword', { params: { id: person.id } });
    link.value = { name: person.name, address: addressOf(answer.link.token) };
  });
const endSessions = (person: PersonLine) => act(() => request('endSessions', { params: { id: person.id } }));
/** It opens the account to the password alone: asked before. */
function resetSecond(person: PersonLine) {
  const sure = confirm(
    `Take the second factor of ${person.name} away? Be sure it is ${person.name} who asks. They are signed out everywhere and come in with the password alone until they set it up anew.`,
  );
  if (sure) void act(() => request('resetSecond', { params: { id: person.id } }));
}
function invited(name: string, token: string) {
  inviting.value = false;
  link.value = { name, address: addressOf(token) };
  void act(async () => undefined);
}
onMounted(() => act(async () => undefined));
</script>

<template>
  <section class="mx-auto w-full max-w-6xl px-4 py-5 sm:px-6">
    <div class="flex flex-wrap items-center gap-4">
      <h1>People</h1>
      <span class="flex-1"></span>
      <RouterLink class="link inline-flex min-h-11 items-center" to="/audit" data-test="to-audit"
        >Sign-ins and changes</RouterLink
      ><AppButton kind="primary" data-test="invite" @click="inviting = true">Invite somebody</AppButton>
    </div>
    <FormProblem class="mt-3" :message="problem ?? copyProblem" />
    <div
      v-if="link"
      class="mt-3 flex flex-wrap items-start gap-5 border-l-4 border-good bg-good-wash px-3 py-3"
      data-test="one-time-link"
    >
      <QrCode class="w-28 shrink-0" :text="link.address" :label="`Code of the link for ${link.name}`" />
      <div class="min-w-0 flex-1">
        <p>
          For {{ link.name }}: send this link, or let their phone read the code. It works once, for seven
          days, and is shown only now.
        </p>
        <p class="mt-1 font-mono text-[14px] break-all select-all">{{ link.address }}</p>
        <AppButton class="mt-2" data-test="copy-link" @click="copy(link.address)">{{
          copied ? '✓ Copied' : 'Copy the link'
        }}</AppButton>
      </div>
    </div>
    <table class="table-plain table-stack mt-4">
      <thead>
        <tr>
          <th>Name</th>
          <th>Login</th>
          <th class="w-44">Role</th>
          <th class="w-40">State</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="person in people" :key="person.id" :data-person="person.login">
          <td class="font-medium">{{ person.name }}</td>
          <td class="font-mono text-soft" data-label="Login">{{ person.login }}</td>
          <td>
            <select
              :value="person.role"
              :aria-label="`Role of ${person.name}`"
              @change="changeRole(person, $event)"
            >
              <option v-for="role in roles" :key="role" :value="role">{{ role }}</option>
            </select>
          </td>
          <td>
            {{
              person.disabled
                ? 'disabled'
                : person.invited
                  ? 'invited, no password yet'
                  : person.demo
                    ? 'active, demo'
                    : 'active'
            }}<span v-if="person.second" class="hint block">second factor on</span>
          </td>
          <td class="text-right text-[14px]">
            <span class="inline-flex flex-wrap justify-end gap-x-4"
              ><button type="button" class="link" data-test="disable" @click="toggle(person)">
                {{ person.disabled ? 'Enable' : 'Disable' }}</button
              ><button type="button" class="link" @click="reset(person)">New password link</button
              ><button
                v-if="person.second"
                type="button"
                class="link"
                data-test="reset-second"
                @click="resetSecond(person)"
              >
                Reset second factor</button
              ><button type="button" class="link" @click="endSessions(person)">
                Sign out everywhere
              </button></span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <CompanyForm class="mt-10" />
    <LookAround />
    <InviteDialog v-if="inviting" @close="inviting = false" @invited="invited" />
  </section>
</template>
