<script setup lang="ts">
import { useField } from 'vee-validate';
import { computed, useId } from 'vue';

const props = withDefaults(
  defineProps<{
    name: string;
    label: string;
    hint?: string;
    type?: string;
    autocomplete?: string;
    long?: boolean;
  }>(),
  { type: 'text', autocomplete: 'off', hint: '' },
);
const id = useId();
const { value, errorMessage, handleBlur } = useField<string>(() => props.name);
const told = computed(() => (errorMessage.value ? `${id}-problem` : props.hint ? `${id}-hint` : undefined));
const invalid = computed(() => Boolean(errorMessage.value));
</script>

<template>
  <div class="flex flex-col gap-1">
    <label :for="id" class="field-label">{{ label }}</label>
    <textarea
      v-if="long"
      :id="id"
      v-model="value"
      rows="3"
      :name="name"
      :aria-invalid="invalid"
      :aria-describedby="told"
      @blur="handleBlur"
    ></textarea>
    <input
      v-else
      :id="id"
      v-model="value"
      :type="type"
      :name="name"
      :autocomplete="autocomplete"
      :aria-invalid="invalid"
      :aria-describedby="told"
      @blur="handleBlur"
    />
    <p v-if="errorMessage" :id="`${id}-problem`" class="problem">{{ errorMessage }}</p>
    <p v-else-if="hint" :id="`${id}-hint`" class="hint">{{ hint }}</p>
  </div>
</template>
