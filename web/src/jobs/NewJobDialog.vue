<script setup lang="ts">
import { useField, useForm } from 'vee-validate';
import { onMounted, ref, shallowRef } from 'vue';
import { RouterLink } from 'vue-router';
import { object, string } from 'yup';
import { request, messageOf } from '../shared/api/client.ts';
import type { Unit } from '@brine/contract/routes';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import TextField from '../shared/ui/TextField.vue';

const emit = defineEmits<{ close: []; opened: [id: string] }>();
const units = shallowRef<readonly Unit[]>([]);
const problem = ref<string | null>(null);
const { handleSubmit, isSubmitting } = useForm({
  validationSchema: object({
    unitId: string().required('Expected a unit'),
    title: string().trim().required('Expected a title').max(300, 'Expected at most 300 characters'),
  }),
  initialValues: { unitId: '', title: '' },
});
const { value: unitId, errorMessage: unitProblem } = useField<string>('unitId');

onMounted(async () => {
  try {
    units.value = (await request('units')).units;
  } catch (error) {
    problem.value = messageOf(error);
  }
});

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
        <select id="job-unit" v-model="unitId" name="unitId" :aria-invalid="Boolean(unitProblem)">
          <option value="" disabled>Choose the unit</option>
          <option v-for="unit in units" :key="unit.id" :value="unit.id">
            {{ [unit.tag, unit.name, unit.siteName].filter(Boolean).join(' · ') }}
          </option>
        </select>
        <p v-if="unitProblem" class="problem">{{ unitProblem }}</p>
        <p class="hint">
          Not in the list? <RouterLink class="link" to="/units">Add the unit</RouterLink> first.
        </p>
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
