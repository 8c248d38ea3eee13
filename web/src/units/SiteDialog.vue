<script setup lang="ts">
import { useForm } from 'vee-validate';
import { ref } from 'vue';
import { object, string } from 'yup';
import { request, messageOf } from '../shared/api/client.ts';
import type { Site } from '@brine/contract/routes';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import TextField from '../shared/ui/TextField.vue';
import LikeIt from './LikeIt.vue';
import { useLikeIt } from './useLikeIt.ts';

const props = defineProps<{ site: Site | null }>();
const emit = defineEmits<{ close: []; saved: [] }>();
const problem = ref<string | null>(null);
const {
  handleSubmit,
  isSubmitting,
  values: typed,
} = useForm({
  validationSchema: object({
    name: string().trim().required('Expected a name').max(200, 'Expected at most 200 characters'),
    place: string().max(300, 'Expected at most 300 characters'),
    note: string().max(2000, 'Expected at most 2000 characters'),
    customer: string().max(200, 'Expected at most 200 characters'),
    contact: string().max(200, 'Expected at most 200 characters'),
    phone: string().max(60, 'Expected at most 60 characters'),
  }),
  initialValues: {
    name: props.site?.name ?? '',
    place: props.site?.place ?? '',
    note: props.site?.note ?? '',
    customer: props.site?.customer ?? '',
    contact: props.site?.contact ?? '',
    phone: props.site?.phone ?? '',
  },
});
const alike = useLikeIt(
  () => [typed.phone ?? '', typed.name ?? ''],
  async (search) =>
    (await request('sites', { query: { search } })).sites.map((site) => ({
      id: site.id,
      words: [site.name, site.place, site.contact, site.phone].filter(Boolean).join(' · '),
      to: `/units?search=${encodeURIComponent(site.name)}`,
    })),
  props.site !== null,
);
const submit = handleSubmit(async (values) => {
  try {
    if (props.site)
      await request('changeSite', {
        params: { id: props.site.id },
        body: { ...values, version: props.site.version },
      });
    else await request('createSite', { body: values });
    emit('saved');
  } catch (error) {
    problem.value = messageOf(error);
  }
});
</script>

<template>
  <ModalDialog :open="true" :title="site ? 'Edit the site' : 'Add a site'" @close="emit('close')">
    <form class="flex flex-col gap-4" novalidate @submit="submit">
      <TextField name="name" label="Name" />
      <TextField name="place" label="Place" hint="How to get there" />
      <TextField name="customer" label="Customer" hint="Who pays, where it is not the site" />
      <div class="grid gap-4 sm:grid-cols-2">
        <TextField name="contact" label="Contact" hint="Who answers there" />
        <TextField name="phone" label="Phone" type="tel" />
      </div>
      <TextField name="note" label="Note" hint="Keys, hours, who to ask" long />
      <LikeIt :items="alike" />
      <FormProblem :message="problem" />
      <div class="flex gap-3">
        <AppButton kind="primary" type="submit" :disabled="isSubmitting" data-test="save-site">Save</AppButton
        ><AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
