<script setup lang="ts">
import { useForm } from 'vee-validate';
import { ref } from 'vue';
import { object, string } from 'yup';
import { request, messageOf } from '../shared/api/client.ts';
import type { Unit } from '@brine/contract/routes';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import TextField from '../shared/ui/TextField.vue';
import LikeIt from './LikeIt.vue';
import { useLikeIt } from './useLikeIt.ts';

const props = defineProps<{ unit: Unit | null; siteId: string }>();
const emit = defineEmits<{ close: []; saved: [] }>();
const problem = ref<string | null>(null);
const {
  handleSubmit,
  isSubmitting,
  values: typed,
} = useForm({
  validationSchema: object({
    name: string().trim().required('Expected a name').max(200, 'Expected at most 200 characters'),
    tag: string().max(60, 'Expected at most 60 characters'),
    plate: string().max(500, 'Expected at most 500 characters'),
  }),
  initialValues: { name: props.unit?.name ?? '', tag: props.unit?.tag ?? '', plate: props.unit?.plate ?? '' },
});
const alike = useLikeIt(
  () => [typed.tag ?? '', typed.name ?? ''],
  async (search) =>
    (await request('units', { query: { search } })).units.map((unit) => ({
      id: unit.id,
      words: [unit.tag, unit.name, unit.siteName].filter(Boolean).join(' · '),
      to: `/units/${unit.id}`,
    })),
  props.unit !== null,
);
const submit = handleSubmit(async (values) => {
  try {
    if (props.unit)
      await request('changeUnit', {
        params: { id: props.unit.id },
        body: { ...values, version: props.unit.version },
      });
    else await request('createUnit', { body: { ...values, siteId: props.siteId } });
    emit('saved');
  } catch (error) {
    problem.value = messageOf(error);
  }
});
</script>

<template>
  <ModalDialog :open="true" :title="unit ? 'Edit the unit' : 'Add a unit'" @close="emit('close')">
    <form class="flex flex-col gap-4" novalidate @submit="submit">
      <TextField name="tag" label="Tag" hint="The short name on the unit, such as FM-2" />
      <TextField name="name" label="Name" hint="What people call it" />
      <TextField name="plate" label="Plate" hint="Refrigerant, supply, defrost, as on its plate" />
      <LikeIt :items="alike" />
      <FormProblem :message="problem" />
      <div class="flex gap-3">
        <AppButton kind="primary" type="submit" :disabled="isSubmitting" data-test="save-unit">Save</AppButton
        ><AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
