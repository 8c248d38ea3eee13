<script setup lang="ts">
import { useField, useForm } from 'vee-validate';
import { ref, shallowRef, watch } from 'vue';
import { RouterLink } from 'vue-router';
import { object, string } from 'yup';
import { request, messageOf } from '../shared/api/client.ts';
import type { Unit } from '@brine/contract/routes';
import AppButton from '../shared/ui/AppButton.vue';
import FindOne from '../shared/ui/FindOne.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import TextField from '../shared/ui/TextField.vue';

const emit = defineEmits<{ close: []; opened: [id: string] }>();
const unit = shallowRef<Unit | null>(null);
const problem = ref<string | null>(null);
const { handleSubmit, isSubmitting } = useForm({
  validationSchema: object({
    unitId: string().required('Expected a unit'),
    title: string().trim().required('Expected a title').max(300, 'Expected at most 300 characters'),
  }),
  initialValues: { unitId: '', title: '' },
});
const { value: unitId, errorMessage: unitProblem } = useField<string>('unitId');

watch(unit, (chosen) => (unitId.value = chosen?.id ?? ''));
const wordsOf = (one: Unit) => [one.tag, one.name, one.siteName].filter(Boolean).join(' · ');
const find = async (text: string) => (await request('units', { query: { search: text } })).units;

const submit = handleSubmit(async (values) => {
  try {
    const { job } = await request('createJob', { body: values });
    emit('opened', job.id);
  } catch (error) {
    problem.value = messageOf(error);
  }
});
</script>

<template>
  <ModalDialog :open="true" title="Open a job" @close="emit('close')">
    <form class="flex flex-col gap-4" novalidate @submit="submit">
      <div class="flex flex-col gap-1">
        <label for="job-unit" class="field-label">Unit</label>
        <FindOne
          id="job-unit"
          v-model="unit"
          label="Unit"
          placeholder="Tag, name or plate"
          :words="wordsOf"
          :find="find"
          :invalid="Boolean(unitProblem)"
        />
        <p v-if="unitProblem" class="problem">{{ unitProblem }}</p>
        <p class="hint">Not there? <RouterLink class="link" to="/units">Add the unit</RouterLink> first.</p>
      </div>
      <TextField
        name="title"
        label="What is it about?"
        hint="For example: replace the control of the fish store"
      />
      <FormProblem :message="problem" />
      <div class="flex gap-3">
        <AppButton kind="primary" type="submit" :disabled="isSubmitting" data-test="create-job"
          >Open the job</AppButton
        >
        <AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
