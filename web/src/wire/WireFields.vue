<script setup lang="ts">
import { useId } from 'vue';
import { wireColours } from './wireColours.ts';

/** From, to, colour, label, purpose of one wire: quick to enter, terminals picked, never typed. */
interface Fields {
  from: string;
  to: string;
  colour: string;
  label: string;
  purpose: string;
}
defineProps<{ ends: readonly { readonly id: string; readonly words: string }[] }>();
const fields = defineModel<Fields>({ required: true });
const id = useId();
const colours = Object.keys(wireColours);
</script>

<template>
  <div class="grid gap-x-3 gap-y-2 sm:grid-cols-6">
    <label
      v-for="side in ['from', 'to'] as const"
      :key="side"
      class="flex min-w-0 flex-col gap-0.5 sm:col-span-3"
    >
      <span class="field-label">{{ side === 'from' ? 'From' : 'To' }}</span>
      <select v-model="fields[side]" class="w-full min-w-0" :data-test="`wire-${side}`">
        <option value="">choose a terminal</option>
        <option v-for="end in ends" :key="end.id" :value="end.id">{{ end.words }}</option>
      </select>
    </label>
    <label class="flex flex-col gap-0.5 sm:col-span-2">
      <span class="field-label">Colour</span>
      <select v-model="fields.colour" data-test="wire-colour">
        <option value="">not seen</option>
        <option v-for="colour in colours" :key="colour" :value="colour">{{ colour }}</option>
      </select>
    </label>
    <label class="flex min-w-0 flex-col gap-0.5" :for="`${id}-label`">
      <span class="field-label">Label</span>
      <input :id="`${id}-label`" v-model="fields.label" class="w-full min-w-0" maxlength="20" />
    </label>
    <label class="flex min-w-0 flex-col gap-0.5 sm:col-span-3" :for="`${id}-purpose`">
      <span class="field-label">What for</span>
      <input :id="`${id}-purpose`" v-model="fields.purpose" class="w-full min-w-0" maxlength="120" />
    </label>
  </div>
</template>
