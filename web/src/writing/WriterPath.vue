<script setup lang="ts">
import { computed } from 'vue';
import AppButton from '../shared/ui/AppButton.vue';
import type { WriterStep, WriterStepId } from './writerSteps.ts';

/** The way through writing a controller down: what is done, what is open, where one is. On a phone one step at a time. */
const props = defineProps<{ steps: readonly WriterStep[]; modelValue: WriterStepId }>();
const emit = defineEmits<{ 'update:modelValue': [step: WriterStepId] }>();
const at = computed(() => props.steps.findIndex(({ id }) => id === props.modelValue));
const marks = { done: '✓', open: '●', may: '○' } as const;
const words = { done: 'done', open: 'open', may: 'may stay open' } as const;
const go = (by: number) => {
  const next = props.steps[at.value + by];
  if (next) emit('update:modelValue', next.id);
};
</script>

<template>
  <nav aria-label="Steps" data-test="writer-path">
    <ol class="hidden gap-x-1 md:flex md:flex-col">
      <li v-for="(step, i) in steps" :key="step.id">
        <button
          type="button"
          class="grid w-full grid-cols-[1.5rem_minmax(0,1fr)] items-baseline gap-x-1 border-l-4 px-2 py-1.5 text-left"
          :class="step.id === modelValue ? 'border-brine bg-band' : 'border-transparent hover:bg-band'"
          :aria-current="step.id === modelValue ? 'step' : undefined"
          :data-step="step.id"
          @click="emit('update:modelValue', step.id)"
        >
          <span
            :aria-label="words[step.state]"
            :class="{ 'text-ok': step.state === 'done', 'text-amber': step.state === 'open' }"
            >{{ marks[step.state] }}</span
          >
          <span
            ><span class="font-medium">{{ i + 1 }} {{ step.name }}</span
            ><span class="block text-[13px] text-soft">{{ step.says }}</span></span
          >
        </button>
      </li>
    </ol>
    <div class="flex items-center gap-2 md:hidden">
      <AppButton :disabled="at === 0" aria-label="Step before" @click="go(-1)">‹</AppButton>
      <label class="min-w-0 flex-1">
        <span class="sr-only">Step</span>
        <select
          class="w-full"
          :value="modelValue"
          data-test="writer-step"
          @change="emit('update:modelValue', ($event.target as HTMLSelectElement).value as WriterStepId)"
        >
          <option v-for="(step, i) in steps" :key="step.id" :value="step.id">
            {{ marks[step.state] }} {{ i + 1 }} {{ step.name }}{{ step.says ? `: ${step.says}` : '' }}
          </option>
        </select>
      </label>
      <AppButton :disabled="at === steps.length - 1" aria-label="Next step" @click="go(1)">›</AppButton>
    </div>
  </nav>
</template>
