<script setup lang="ts">
import { nextTick, onMounted, ref } from 'vue';
import TextField from '../shared/ui/TextField.vue';

/** The field `code` of a form: six digits of an app, or a recovery code. */
const field = ref<HTMLElement>();
onMounted(() => nextTick(() => field.value?.querySelector('input')?.focus()));
</script>

<template>
  <div ref="field">
    <TextField
      name="code"
      label="Code"
      autocomplete="one-time-code"
      hint="The six digits that your authenticator app shows for Brine Dial, or one of your recovery codes"
    />
  </div>
</template>
