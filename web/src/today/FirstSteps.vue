<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { RouterLink } from 'vue-router';
import type { Company } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import LookAround from '../shared/layout/LookAround.vue';
import { useDraft } from '../shared/ui/useDraft.ts';

/** The first evening of a company: who it is and who works there, the first controller, the first call. */
defineEmits<{ call: [] }>();
const session = useSession();
const problem = ref<string | null>(null);
const people = ref(1);
const controllers = ref(0);
/** As the server names a company that nobody has named yet. */
const UNNAMED = 'Our company';
const name = useDraft(() => {
  const said = session.company?.name ?? '';
  return said === UNNAMED ? '' : said;
});
const phone = useDraft(() => session.company?.phone ?? '');
const named = computed(() => (session.company?.name ?? UNNAMED) !== UNNAMED);
const steps = computed(() => [named.value && people.value > 1, controllers.value > 0, false]);

async function act(work: () => Promise<unknown>) {
  problem.value = null;
  try {
    await work();
  } catch (error) {
    problem.value = messageOf(error);
  }
}
const change = (what: Partial<Pick<Company, 'name' | 'phone' | 'displayUnit'>>) =>
  act(() => session.changeCompany(what));
function rename() {
  const typed = name.text.value.trim();
  if (typed === '') return;
  name.settle();
  void change({ name: typed });
}
function callUs() {
  phone.settle();
  void change({ phone: phone.text.value.trim() });
}
const degrees = (event: Event) =>
  change({ displayUnit: (event.target as HTMLSelectElement).value as Company['displayUnit'] });
onMounted(() =>
  act(async () => {
    people.value = (await request('people')).people.length;
    controllers.value = (await request('controllers')).controllers.length;
  }),
);
const linkLike =
  'inline-flex min-h-9 items-center rounded-md border border-brine px-4 font-medium text-brine pointer-coarse:min-h-11';
</script>

<template>
  <section class="mt-6 max-w-3xl" aria-label="First steps" data-test="first-steps">
    <h2>Three steps to the first job</h2>
    <FormProblem class="mt-2" :message="problem" />
    <ol class="mt-2 border-t border-ink">
      <li class="grid grid-cols-[2.5rem_minmax(0,1fr)] border-b border-hairline py-4">
        <span class="text-[22px] font-semibold text-brine" aria-hidden="true">{{
          steps[0] ? '✓' : '1'
        }}</span>
        <div>
          <h3 class="text-[16px] font-semibold">Who you are{{ steps[0] ? ', done' : '' }}</h3>
          <p class="text-soft">
            The name and the number stand on every paper; degrees are as your people read them.
          </p>
          <div class="mt-2 flex flex-wrap items-end gap-4">
            <label class="flex flex-col gap-1"
              ><span class="field-label">Company</span
              ><input
                v-model="name.text.value"
                class="w-64"
                maxlength="200"
                data-test="first-name"
                @change="rename"
            /></label>
            <label class="flex flex-col gap-1"
              ><span class="field-label">Phone</span
              ><input
                v-model="phone.text.value"
                type="tel"
                class="w-40"
                maxlength="60"
                data-test="first-phone"
                @change="callUs"
            /></label>
            <label class="flex flex-col gap-1"
              ><span class="field-label">Degrees</span
              ><select :value="session.company?.displayUnit" data-test="first-degrees" @change="degrees">
                <option value="fahrenheit">°F</option>
                <option value="celsius">°C</option>
              </select></label
            >
            <RouterLink to="/people" :class="linkLike" data-test="first-people">{{
              people > 1 ? `${people} people` : 'Invite your people'
            }}</RouterLink>
          </div>
        </div>
      </li>
      <li class="grid grid-cols-[2.5rem_minmax(0,1fr)] border-b border-hairline py-4">
        <span class="text-[22px] font-semibold text-brine" aria-hidden="true">{{
          steps[1] ? '✓' : '2'
        }}</span>
        <div>
          <h3 class="text-[16px] font-semibold">The first controller{{ steps[1] ? ', done' : '' }}</h3>
          <p class="text-soft">
            One that you mount often. Write it down once from its booklet: pasted, photographed or typed; or
            import the file of somebody who did.
          </p>
          <p class="mt-2 flex flex-wrap gap-3">
            <RouterLink to="/controls/write" :class="linkLike" data-test="first-write"
              >From its booklet</RouterLink
            >
            <RouterLink to="/controls" :class="linkLike" data-test="first-controls">{{
              controllers > 0 ? 'Look at the controllers' : 'From a file'
            }}</RouterLink>
          </p>
        </div>
      </li>
      <li class="grid grid-cols-[2.5rem_minmax(0,1fr)] border-b border-hairline py-4">
        <span class="text-[22px] font-semibold text-brine" aria-hidden="true">3</span>
        <div>
          <h3 class="text-[16px] font-semibold">The first call</h3>
          <p class="text-soft">
            Who called, which unit, what is wrong: one form makes the site, the unit and the job.
          </p>
          <p class="mt-2"><AppButton kind="primary" @click="$emit('call')">Take the first call</AppButton></p>
        </div>
      </li>
    </ol>
    <LookAround />
  </section>
</template>
