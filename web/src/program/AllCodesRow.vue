<script setup lang="ts">
import { computed, toRef } from 'vue';
import type { Sentence } from '@brine/core/foundation/sentences';
import { printShown } from '@brine/core/record/handover';
import { defaultDecision, type ProgramRow } from '@brine/core/record/job';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import { useDraft } from '../shared/ui/useDraft.ts';
import CodeField from './CodeField.vue';
import { useCodeInput } from './useCodeInput.ts';

/** One code: its value, where it comes from, and the way back. */
const props = defineProps<{ row: ProgramRow; words: (sentence: Sentence) => string }>();
const job = useJob();
const session = useSession();
const { write } = useCodeInput(toRef(() => props.row));
const sources: Readonly<Record<ProgramRow['source'], string>> = {
  plan: 'Planned',
  old: 'From the old control',
  preset: 'Set by the preset',
  default: 'Its own default',
  hand: 'By hand',
};
const byHand = computed(() => props.row.chosen);
const { text: why, settle } = useDraft(() => (byHand.value ? props.words(props.row.reason ?? '') : ''));
const sayWhy = () => void (settle() && write(props.row.value, why.value.trim()));
const back = computed(() =>
  props.row.planned === null
    ? 'Back to its default'
    : `Back to the plan: ${printShown(props.row.parameter, props.row.planned, job.program.value.display!)}`,
);
</script>

<template>
  <tr
    :data-all-code="row.code"
    :class="{ 'bg-amber-wash': row.undecided, 'bg-amber-wash/60': byHand }"
    class="max-sm:grid max-sm:grid-cols-[4rem_minmax(0,1fr)] max-sm:border-b max-sm:border-hairline max-sm:py-1 max-sm:[&>td]:border-0"
  >
    <td class="font-mono font-semibold sm:!pl-2">{{ row.code }}</td>
    <td>{{ row.parameter.name }}</td>
    <td class="max-sm:col-span-2"><CodeField :code="row" /></td>
    <td class="text-[14px] max-sm:col-span-2">
      <template v-if="row.undecided">
        <strong class="font-semibold">Not planned yet.</strong>
        <button
          v-if="session.mayWrite"
          type="button"
          class="link ml-2 min-h-9 pointer-coarse:min-h-11"
          @click="job.write(defaultDecision(row))"
        >
          Leave it at its default
        </button>
      </template>
      <template v-else-if="byHand">
        {{ sources[row.source] }}.
        <button
          v-if="session.mayWrite"
          type="button"
          class="link min-h-9 pointer-coarse:min-h-11"
          data-test="code-back"
          @click="write(null)"
        >
          {{ back }}
        </button>
        <input
          v-model="why"
          class="mt-1 w-full max-w-md"
          :disabled="!session.mayWrite"
          placeholder="Say why: it shows beside the value"
          :aria-label="`Why ${row.code} is set so`"
          @change="sayWhy"
        />
      </template>
      <template v-else
        >{{ sources[row.source] }}.
        <span class="text-soft">{{ words(row.reason ?? row.note) }}</span></template
      >
    </td>
  </tr>
</template>
