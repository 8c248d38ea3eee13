<script setup lang="ts">
import { computed } from 'vue';
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue';
import { ChevronRight } from '@lucide/vue';
import { answersOf } from '@brine/core/record/job';
import { schoolQuestions } from '@brine/core/judgement/survey';
import { useJob } from '../shared/job/useJob.ts';
import QuestionField from './QuestionField.vue';

const job = useJob();
const own = computed(
  () => [...answersOf(job.state.value).keys()].filter((id) => id.startsWith('school.')).length,
);
const words = computed(() =>
  own.value === 0 ? 'as the company usually does' : `${own.value} of this job's own`,
);
</script>

<template>
  <Disclosure v-slot="{ open }" as="div">
    <DisclosureButton
      class="flex min-h-9 pointer-coarse:min-h-11 items-center gap-2 text-left"
      data-test="schools"
    >
      <ChevronRight :size="18" :class="{ 'rotate-90': open }" /><span
        class="font-head text-[17px] font-semibold"
        >Where people differ</span
      ><span class="hint">{{ words }}</span>
    </DisclosureButton>
    <DisclosurePanel class="mt-2 border-t border-ink">
      <QuestionField v-for="question in schoolQuestions" :key="question.id" :question="question" />
    </DisclosurePanel>
  </Disclosure>
</template>
