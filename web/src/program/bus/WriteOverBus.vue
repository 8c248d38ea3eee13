<script setup lang="ts">
import { computed } from 'vue';
import { displayOf, parameterOf, type CodeValue } from '@brine/core/controllers/definitions';
import { printShown } from '@brine/core/record/handover';
import LineChoice from '../../shared/bus/LineChoice.vue';
import { useJob } from '../../shared/job/useJob.ts';
import AppButton from '../../shared/ui/AppButton.vue';
import ModalDialog from '../../shared/ui/ModalDialog.vue';
import { useWriteOverBus } from './useWriteOverBus.ts';

/** Writes the planned values over the control's bus: what stands and what shall, what may happen, and who at the unit said that it may. */
const emit = defineEmits<{ close: [] }>();
const job = useJob();
const { on, standing, unread, written, atUnit, mayBeWritten, undecided, plan, warnings, look, write } =
  useWriteOverBus();
const may = computed(() => mayBeWritten.value && atUnit.value.trim() !== '' && !on.isBusy.value);
const shows = (code: string, value: CodeValue | null, stands: boolean) => {
  const definition = job.replacement.value!;
  const parameter = parameterOf(definition, code);
  if (value === null || !parameter) return '–';
  return printShown(
    parameter,
    value,
    stands ? displayOf(definition, standing.value!) : job.program.value.display!,
  );
};
const nameOf = (code: string) => parameterOf(job.replacement.value!, code)?.name ?? '';
const words = {
  written: '✓ written and read back',
  otherwise: '! it shows',
  refused: '! refused, it shows',
  notKnown: '! not known what stands there.',
  notWritten: '! not written.',
} as const;
const open = computed(() => written.value?.written.filter(({ is }) => is !== 'written').length ?? 0);
</script>

<template>
  <ModalDialog :open="true" title="Write over the bus" @close="emit('close')">
    <div class="flex max-h-[75vh] flex-col gap-3 overflow-auto" data-test="write-over-bus">
      <LineChoice :on="on">
        <AppButton
          :kind="standing ? 'quiet' : 'primary'"
          :disabled="on.isBusy.value"
          data-test="bus-look"
          @click="look"
          >{{ standing ? 'Read again' : 'Read what stands there' }}</AppButton
        >
      </LineChoice>
      <template v-if="written">
        <p role="status" data-test="bus-written">
          {{ written.written.length - open }} of {{ written.written.length }} written and read back.
          <template v-if="open > 0">{{ open }} stay open.</template>
        </p>
        <ul class="flex flex-col">
          <li
            v-for="one in written.written"
            :key="one.code"
            class="grid grid-cols-[4rem_minmax(0,1fr)] gap-x-2 border-b border-hairline py-1"
            :data-test="`became-${one.is}`"
          >
            <code class="font-mono">{{ one.code }}</code>
            <span :class="{ 'text-alarm': one.is !== 'written' }"
              >{{ shows(one.code, one.value, false) }} {{ words[one.is] }}
              <template v-if="one.found !== undefined">{{ one.found }}</template>
              {{ one.why }}</span
            >
          </li>
        </ul>
      </template>
      <template v-else-if="plan">
        <p v-if="plan.writes.length === 0" role="status" data-test="bus-nothing">
          ✓ All {{ standing!.size }} values stand as planned. Nothing is to be written.
        </p>
        <ul
          v-else
          class="border-t border-ink"
          aria-label="What stands, and what it becomes"
          data-test="bus-plan"
        >
          <li
            v-for="one in plan.writes"
            :key="one.code"
            class="grid grid-cols-[3.5rem_minmax(0,1fr)] gap-x-2 border-b border-hairline py-1"
          >
            <code class="font-mono font-semibold">{{ one.code }}</code>
            <span class="flex flex-wrap items-baseline gap-x-3"
              ><span class="min-w-32 flex-1">{{ nameOf(one.code) }}</span>
              <span class="font-mono"
                >{{ shows(one.code, one.old, true) }} →
                <strong class="font-semibold">{{ shows(one.code, one.value, false) }}</strong></span
              ></span
            >
          </li>
        </ul>
        <p v-for="one in plan.notOverTheBus" :key="one.code" class="hint">
          <code class="font-mono">{{ one.code }}</code> has to be keyed: {{ one.why }}.
        </p>
        <p v-for="one in unread" :key="one.code" class="hint">
          <code class="font-mono">{{ one.code }}</code> was not read: {{ one.why }}
        </p>
        <p v-if="undecided.length > 0" class="hint">
          Not decided yet, and left as they stand: {{ undecided.join(', ') }}.
        </p>
        <template v-if="plan.writes.length > 0">
          <ul
            class="border-l-4 border-alarm bg-alarm-wash p-3"
            aria-label="What may happen"
            data-test="bus-warnings"
          >
            <li v-for="one in warnings" :key="one">! {{ one }}</li>
            <li>
              Somebody stands at the unit, sees that nobody works on it, and says there that it may be
              written. Lock-out and local codes go before this page.
            </li>
          </ul>
          <label class="flex flex-col gap-1"
            ><span class="field-label">Who stands at the unit</span
            ><input v-model="atUnit" maxlength="120" data-test="bus-at-unit"
          /></label>
          <label class="flex min-h-11 items-center gap-2"
            ><input v-model="mayBeWritten" type="checkbox" data-test="bus-may" />{{
              atUnit.trim() === '' ? 'They' : atUnit.trim()
            }}
            said at the unit that it may be written now</label
          >
          <AppButton kind="primary" wide :disabled="!may" data-test="bus-write" @click="write"
            >Write {{ plan.writes.length }} {{ plan.writes.length === 1 ? 'value' : 'values' }}</AppButton
          >
        </template>
      </template>
    </div>
  </ModalDialog>
</template>
