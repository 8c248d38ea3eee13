<script setup lang="ts">
import { ref } from 'vue';
import type { Job } from '@brine/contract/routes';
import { messageOf, request } from '../shared/api/client.ts';
import AppButton from '../shared/ui/AppButton.vue';
import FormProblem from '../shared/ui/FormProblem.vue';
import ModalDialog from '../shared/ui/ModalDialog.vue';

/** Who goes, when, and what it waits for. */
const props = defineProps<{ job: Job; people: readonly { readonly id: string; readonly name: string }[] }>();
const emit = defineEmits<{ close: []; saved: [] }>();
const who = ref(props.job.assignedTo?.id ?? '');
const day = ref(props.job.plannedFor ?? '');
const waits = ref(props.job.waitsFor);
const problem = ref<string | null>(null);
const saving = ref(false);
async function save() {
  saving.value = true;
  problem.value = null;
  try {
    await request('changeJob', {
      params: { id: props.job.id },
      body: {
        assignedTo: who.value || null,
        plannedFor: day.value || null,
        waitsFor: waits.value.trim(),
        version: props.job.version,
      },
    });
    emit('saved');
  } catch (error) {
    problem.value = messageOf(error);
  }
  saving.value = false;
}
</script>

<template>
  <ModalDialog
    :open="true"
    :title="`Plan ${[job.unit.tag, job.unit.name].filter(Boolean).join(' ')}`"
    @close="emit('close')"
  >
    <form class="flex flex-col gap-4" @submit.prevent="save">
      <label class="flex flex-col gap-1"
        ><span class="field-label">Who goes</span>
        <select v-model="who" data-test="plan-who">
          <option value="">nobody yet</option>
          <option v-for="person in people" :key="person.id" :value="person.id">{{ person.name }}</option>
        </select></label
      >
      <label class="flex flex-col gap-1"
        ><span class="field-label">On</span
        ><input v-model="day" type="date" class="w-44" data-test="plan-day"
      /></label>
      <label class="flex flex-col gap-1"
        ><span class="field-label">Waits for</span
        ><input v-model="waits" maxlength="200" placeholder="A part, a key, an answer" data-test="plan-waits"
      /></label>
      <FormProblem :message="problem" />
      <div class="flex gap-3">
        <AppButton kind="primary" type="submit" :disabled="saving" data-test="save-plan">Save</AppButton>
        <AppButton @click="emit('close')">Cancel</AppButton>
      </div>
    </form>
  </ModalDialog>
</template>
