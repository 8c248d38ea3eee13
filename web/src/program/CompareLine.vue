<script setup lang="ts">
import { computed, ref } from 'vue';
import type { CodeValue } from '@brine/core/controllers/definitions';
import type { RowStatus } from '@brine/core/controllers/translate';
import { printShown } from '@brine/core/record/handover';
import { useJob } from '../shared/job/useJob.ts';
import { useSession } from '../shared/session/sessionStore.ts';
import CodeField from './CodeField.vue';
import type { Compare, CompareRow, Source } from './useCompare.ts';

/** One code: what the old control had, how it comes over, and what it is set to, from which source. */
const props = defineProps<{ line: CompareRow; compare: Compare }>();
const job = useJob();
const session = useSession();
const statusWords: Readonly<Record<RowStatus, string>> = {
  exact: 'the same',
  rounded: 'rounded',
  clamped: 'out of reach: the nearest',
  meaning: 'recomputed to work the same',
  default: 'default',
  fixed: 'built in',
};
const show = (value: CodeValue) => printShown(props.line.row.parameter, value, job.program.value.display!);
const planned = computed(() => (props.line.row.planned === null ? null : show(props.line.row.planned)));
const options = computed(() => {
  const names: Record<Source, string> = {
    plan: 'the plan',
    old: 'the old control',
    preset: 'the preset',
    default: 'its own default',
  };
  const values: Record<Source, string | null> = {
    plan: planned.value,
    old: props.line.copied?.shown ?? null,
    preset: props.line.preset === null ? null : show(props.line.preset),
    default: props.line.standard === null ? null : show(props.line.standard),
  };
  return (Object.keys(names) as Source[]).flatMap((id) =>
    values[id] === null ? [] : [{ id, name: `${names[id]}: ${values[id]}` }],
  );
});
const chosen = computed(() =>
  typing.value ? 'other' : props.line.row.undecided ? '' : props.line.row.source,
);
const note = computed(() => props.line.copied?.note || props.line.row.note);
/** A value that no source has is typed. */
const typing = ref(false);
const choose = (event: Event) => {
  const select = event.target as HTMLSelectElement;
  typing.value = select.value === 'other';
  if (!typing.value) void props.compare.take([props.line], select.value as Source);
};
</script>

<template>
  <tr :data-compare="line.row.code" :class="{ 'bg-amber-wash': line.row.undecided }">
    <td class="!pl-1 font-mono font-semibold">{{ line.row.code }}</td>
    <td>
      {{ line.meaning }}<span v-if="note" class="hint block">{{ note }}</span>
    </td>
    <td class="font-mono text-[14px] text-soft" data-label="Old control">{{ line.old }}</td>
    <td class="text-[14px]" data-label="In this one">
      <template v-if="line.copied"
        ><span class="font-mono">{{ line.copied.shown }}</span>
        <span class="hint block">{{ statusWords[line.copied.status] }}</span></template
      >
    </td>
    <td class="text-right font-mono font-semibold whitespace-nowrap" data-label="Set to">
      {{ show(line.row.value)
      }}<span
        v-if="line.row.differs"
        class="block font-sans text-[12.5px] font-normal max-sm:ml-2 max-sm:inline"
        >differs</span
      >
    </td>
    <td>
      <select
        class="w-full text-[14px]"
        :class="{ '!border-amber': line.row.undecided }"
        :value="chosen"
        :disabled="!session.mayWrite"
        :aria-label="`${line.row.code} is set from`"
        @change="choose"
      >
        <option v-if="line.row.undecided" value="" disabled>decide: not planned yet</option>
        <option v-if="line.row.source === 'hand'" value="hand" disabled>
          by hand: {{ show(line.row.value) }}
        </option>
        <option v-for="o in options" :key="o.id" :value="o.id">{{ o.name }}</option>
        <option v-if="session.mayWrite" value="other">another value …</option>
      </select>
      <CodeField v-if="typing" class="mt-1" :code="line.row" @taken="typing = false" />
    </td>
  </tr>
</template>
