<script setup lang="ts">
import { computed } from 'vue';
import AppButton from '../ui/AppButton.vue';
import FormProblem from '../ui/FormProblem.vue';
import type { OnLine } from './useLines.ts';

/** Which line and which device on it, and how far the work there is. */
const props = defineProps<{ on: OnLine }>();
const line = computed({
  get: () => props.on.line.value,
  set: (id) => props.on.choose(id, props.on.device.value),
});
const device = computed({
  get: () => props.on.device.value,
  set: (at) => props.on.choose(props.on.line.value, at),
});
</script>

<template>
  <div class="flex flex-col gap-2">
    <p v-if="on.lines.value?.length === 0" class="text-soft" data-test="no-lines">
      No line is entered for this site. A lead enters its address under
      <RouterLink class="link" to="/units">Units</RouterLink>, “Lines” of the site.
    </p>
    <div v-else-if="on.lines.value" class="flex flex-wrap items-end gap-3">
      <label class="flex min-w-0 flex-col gap-1"
        ><span class="field-label">Line</span>
        <select v-model="line" :disabled="on.isBusy.value" data-test="bus-line">
          <option v-for="one in on.lines.value" :key="one.id" :value="one.id">
            {{ one.name }} ({{ one.host }})
          </option>
        </select></label
      >
      <label class="flex flex-col gap-1"
        ><span class="field-label">Device on it</span
        ><input
          v-model.number="device"
          class="w-24 font-mono"
          type="number"
          min="1"
          max="247"
          :disabled="on.isBusy.value"
          data-test="bus-device"
      /></label>
      <slot />
    </div>
    <div v-if="on.isBusy.value" class="flex flex-wrap items-center gap-3" role="status">
      <progress
        class="bar w-40"
        :value="on.work.value!.total > 0 ? on.work.value!.done : undefined"
        :max="Math.max(1, on.work.value!.total)"
        :aria-label="on.work.value!.title"
      ></progress>
      <span>{{ on.work.value!.title }} …</span>
      <AppButton kind="quiet" data-test="bus-stop" @click="on.stop()">Stop</AppButton>
    </div>
    <FormProblem :message="on.problem.value" />
  </div>
</template>
