<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  displayOf,
  parameterOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
} from '@brine/core/controllers/definitions';
import type { BusWriting } from '@brine/core/controllers/registers';
import { printShown } from '@brine/core/record/handover';
import AppButton from '../../shared/ui/AppButton.vue';
import { writeWarnings } from './writeWarnings.ts';

/** What stands in a control and what it becomes, what may happen, and who at the unit said that it may be written. */
const props = defineProps<{
  control: ControllerDefinition;
  plan: BusWriting;
  standing: CodeValues;
  /** How the display stands under which the new values are told. */
  told: DisplayState;
  unread: readonly { readonly code: string; readonly why: string }[];
  /** Something else goes on on the line. */
  busy: boolean;
  /** How many values stand already as planned and are not settled yet. */
  stood: number;
}>();
const emit = defineEmits<{ write: [atUnit: string]; stands: [] }>();
const atUnit = ref('');
const mayBeWritten = ref(false);
const may = computed(() => mayBeWritten.value && atUnit.value.trim() !== '' && !props.busy);
const parameter = (code: string) => parameterOf(props.control, code);
const warnings = computed(() =>
  writeWarnings(props.plan.writes.flatMap(({ code }) => parameter(code) ?? [])),
);
const before = computed(() => displayOf(props.control, props.standing));
const shows = (code: string, value: CodeValue | null, display: DisplayState) => {
  const of = parameter(code);
  return value === null || !of ? '–' : printShown(of, value, display);
};
</script>

<template>
  <div class="flex flex-col gap-3">
    <p v-if="plan.writes.length === 0" role="status" data-test="bus-nothing">
      <template v-if="plan.notOverTheBus.length === 0"
        >✓ All that was read stands as planned. Nothing is to be written.</template
      >
      <template v-else>Nothing of it goes over the bus.</template>
    </p>
    <AppButton
      v-if="plan.writes.length === 0 && stood > 0"
      kind="primary"
      class="self-start"
      data-test="bus-stands"
      @click="emit('stands')"
      >Settle {{ stood }} that {{ stood === 1 ? 'stands' : 'stand' }} as planned</AppButton
    >
    <p v-else-if="stood > 0" class="hint">
      {{ stood }} {{ stood === 1 ? 'stands' : 'stand' }} as planned already, and
      {{ stood === 1 ? 'is' : 'are' }} settled with the writing.
    </p>
    <ul
      v-if="plan.writes.length > 0"
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
          ><span class="min-w-32 flex-1">{{ parameter(one.code)?.name }}</span>
          <span class="font-mono"
            >{{ shows(one.code, one.old, before) }} →
            <strong class="font-semibold">{{ shows(one.code, one.value, told) }}</strong></span
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
    <slot />
    <template v-if="plan.writes.length > 0">
      <ul
        class="border-l-4 border-alarm bg-alarm-wash p-3"
        aria-label="What may happen"
        data-test="bus-warnings"
      >
        <li v-for="one in warnings" :key="one">! {{ one }}</li>
        <li>
          Somebody stands at the unit, sees that nobody works on it, and says there that it may be written.
          Lock-out and local codes go before this page.
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
      <AppButton
        kind="primary"
        wide
        :disabled="!may"
        data-test="bus-write"
        @click="emit('write', atUnit.trim())"
        >Write {{ plan.writes.length }} {{ plan.writes.length === 1 ? 'value' : 'values' }}</AppButton
      >
    </template>
  </div>
</template>
