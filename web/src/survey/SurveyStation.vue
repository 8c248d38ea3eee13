<script setup lang="ts">
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { answersOf, boxFactsOf, openQuestions, surveyProblem } from '@brine/core/record/job';
import { questionsFor } from '@brine/core/judgement/survey';
import { useJob } from '../shared/job/useJob.ts';
import { useJumpTargets } from '../shared/jump/jumpTargets.ts';
import CautionNote from '../shared/ui/CautionNote.vue';
import FactFields from '../shared/job/FactFields.vue';
import { useSession } from '../shared/session/sessionStore.ts';
import { boxFactIds } from '@brine/core/foundation/unit';
import { isApplication } from '@brine/core/foundation/settings';
import AlarmNotes from '../shared/job/AlarmNotes.vue';
import AsFoundSheet from './AsFoundSheet.vue';
import ControlChoice from './ControlChoice.vue';
import MechanicalBand from './MechanicalBand.vue';
import NoteList from './NoteList.vue';
import QuestionField from './QuestionField.vue';
import SchoolChoice from './SchoolChoice.vue';

const job = useJob();
const session = useSession();
const answers = computed(() => answersOf(job.state.value));
const questions = computed(() => questionsFor(answers.value.get('application'), answers.value.get('goods')));
const box = computed(() => {
  const application = answers.value.get('application');
  return isApplication(application) ? boxFactsOf(job.state.value, application) : null;
});
const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven'];
const needed = computed(() => {
  const count = questions.value.filter((q) => q.required).length;
  return `${NUMBERS[count] ?? count} ${count === 1 ? 'answer' : 'answers'}`;
});
const open = computed(() => openQuestions(job.state.value));
const problem = computed(() => surveyProblem(job.state.value));
const ready = computed(() => open.value.length === 0 && job.newPin.value !== null);
useJumpTargets(() =>
  questions.value.map((q) => ({
    id: `question:${q.id}`,
    title: q.label,
    detail: 'question of the survey',
    words: q.why,
    go: () => document.getElementById(`question-${q.id}`)?.scrollIntoView({ block: 'center' }),
  })),
);
</script>

<template>
  <div class="grid flex-1 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
    <section class="px-4 py-5 sm:px-5" aria-label="The unit">
      <h2>The unit</h2>
      <p class="hint mt-1">{{ needed }} marked with a dot are needed for a plan. The rest makes it better.</p>
      <div class="mt-3 border-t border-ink">
        <QuestionField v-for="question in questions" :key="question.id" :question="question" />
      </div>
      <p v-if="problem" class="problem mt-3" role="alert" data-test="survey-problem">{{ problem }}</p>
      <section v-if="box" class="mt-5" aria-label="The box itself" data-test="own-box">
        <h3>The box itself</h3>
        <p class="hint">As usual for its kind until somebody measures it: it scales the forecast.</p>
        <div class="mt-2 flex flex-wrap gap-x-5 gap-y-2">
          <FactFields :facts="boxFactIds" :values="box" :editable="session.mayWrite" />
        </div>
      </section>
      <p class="mt-4">
        <RouterLink class="link font-medium" :to="`/jobs/${job.id}/complaint`" data-test="to-complaint"
          >Find what is behind the complaint</RouterLink
        >
      </p>
      <SchoolChoice class="mt-6" />
      <AlarmNotes class="mt-6" />
      <NoteList class="mt-6" />
    </section>
    <section
      class="border-t border-hairline bg-sheet px-4 py-5 sm:px-5 lg:border-t-0 lg:border-l"
      aria-label="Controls"
    >
      <h2>The old control, as found</h2>
      <CautionNote class="mt-2"
        >Read the values on the display before anything is cut. Isolate, lock out and prove dead before
        touching terminals; live readings are for qualified persons.</CautionNote
      >
      <ControlChoice class="mt-3" role="old" />
      <MechanicalBand v-if="!job.oldPin.value" class="mt-4" />
      <AsFoundSheet class="mt-4" />
      <h2 class="mt-8">The new control</h2>
      <ControlChoice class="mt-3" role="new" />
      <p v-if="ready" class="mt-6">
        <RouterLink class="link font-medium" :to="`/jobs/${job.id}/program/plan`" data-test="to-program"
          >Go on to Program: the plan is ready</RouterLink
        >
      </p>
      <p v-else-if="open.length > 0" class="mt-6 text-soft">
        For a plan, still answer: {{ open.map((q) => q.label).join(' ') }}
      </p>
    </section>
  </div>
</template>
