<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { RouterLink } from 'vue-router';
import { request } from '../shared/api/client.ts';
import { useAct } from '../shared/api/useAct.ts';
import LookAround from '../shared/company/LookAround.vue';
import { useCompanyFields } from '../shared/company/useCompanyFields.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import FirstStep from './FirstStep.vue';

/** The first evening of a company: who it is and who works there, the first controller, the first call. */
defineEmits<{ call: [] }>();
const session = useSession();
const { name, phone, named, problem, rename, callUs, degrees } = useCompanyFields();
const { problem: listProblem, act } = useAct();
const people = ref(1);
const controllers = ref(0);
const known = computed(() => named.value && people.value > 1);
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
    <FormProblem class="mt-2" :message="problem ?? listProblem" />
    <ol class="mt-2 border-t border-ink">
      <FirstStep :step="1" title="Who you are" :done="known">
        <p class="text-soft">
          The name and the number stand on every paper; degrees are as your people read them.
        </p>
        <div class="mt-2 flex flex-wrap items-end gap-4">
          <label class="flex flex-col gap-1"
            ><span class="field-label">Company</span
            ><input v-model="name" class="w-64" maxlength="200" data-test="first-name" @change="rename"
          /></label>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Phone</span
            ><input
              v-model="phone"
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
      </FirstStep>
      <FirstStep :step="2" title="The first controller" :done="controllers > 0">
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
      </FirstStep>
      <FirstStep :step="3" title="The first call" :done="false">
        <p class="text-soft">
          Who called, which unit, what is wrong: one form makes the site, the unit and the job.
        </p>
        <p class="mt-2"><AppButton kind="primary" @click="$emit('call')">Take the first call</AppButton></p>
      </FirstStep>
    </ol>
    <LookAround />
  </section>
</template>
