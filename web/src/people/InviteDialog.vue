<script setup lang="ts">
import { useField, useForm } from 'vee-validate';
import { ref } from 'vue';
import { object, string } from 'yup';
import type { Role } from '@brine/contract/routes';
import { request, messageOf } from '../shared/api/client.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';
import TextField from '../shared/ui/TextField.vue';

const emit = defineEmits<{ close: []; invited: [name: string, token: string] }>();
const problem = ref<string | null>(null);
const { handleSubmit } = useForm({
  validationSchema: object({
    name: string().trim().required('Expected a name').max(200),
    login: string().trim().required('Expected a login').max(200),
    role: string<Role>().required(),
  }),
  initialValues: { name: '', login: '', role: 'technician' as Role },
});
const { value: role } = useField<string>('role');
const submit = handleSubmit(async (values) => {
  try {
    const { link } = await request('invite', { body: values });
    emit('invited', values.name, link.token);
  } catch (error) {
    problem.value = messageOf(error);
  }
});
</script>

<template>
  <ModalDialog :open="true" title="Invite somebody" @close="emit('close')">
    <form class="flex flex-col gap-4" novalidate @submit="submit">
      <TextField name="name" label="Name" />
      <TextField name="login" label="Login" hint="What they type to sign in; not changed later" />
      <div class="flex flex-col gap-1">
        <label for="role" class="field-label">Role</label
        ><select id="role" v-model="role">
          <option value="viewer">viewer: reads</option>
          <option value="technician">technician: reads and writes</option>
          <option value="lead">lead: also people and company</option>
        </select>
      </div>
      <FormProblem :message="problem" />
      <div class="flex gap-3">
        <AppButton kind="primary" type="submit" data-test="send-invite">Make the link</AppButton
        ><AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
